<script setup lang="ts">
import type { Step } from '#core/look'

const props = defineProps<{ step: Step }>()
const bench = useBench(), settings = useSettings()
const shows = computed(() => bench.shows.get(props.step.id)), outcome = computed(() => bench.outcomes.get(props.step.id)), found = computed(() => bench.findings.filter(f => f.stepId === props.step.id))
</script>

<template>
  <section class="space-y-1.5" aria-label="What comes of it">
    <dl class="grid grid-cols-2 gap-1.5 text-[0.87rem]">
      <div v-if="shows" class="rounded-lg bg-stage px-2 py-1" data-testid="shows"><dt class="eyebrow">Shows</dt><dd><strong class="font-display text-lg" :class="shows.median < 5 ? 'text-stop' : shows.median < 10 ? 'text-care' : 'text-go'">{{ shows.median.toFixed(0) }}</strong> {{ shows.words }}<span class="block text-soft">weakest tenth {{ shows.tenth.toFixed(0) }}</span></dd></div>
      <div v-if="outcome" class="rounded-lg bg-stage px-2 py-1" data-testid="spread"><dt class="eyebrow">Creeps <span class="rounded bg-rule px-1 font-normal text-ink">estimate</span></dt><dd v-for="(p, i) in outcome.passes" :key="i"><strong class="font-display text-lg" :class="p.closed ? 'text-stop' : 'text-go'">{{ settings.length(p.typical, 2) }}</strong><span class="text-soft">, most {{ settings.length(p.creep, 1) }}</span><span v-if="p.closed" class="block text-stop">{{ p.closed }} {{ p.closed === 1 ? 'bridge closes' : 'bridges close' }} ×</span></dd></div>
    </dl>
    <FindingList v-if="found.length" :findings="found" />
  </section>
</template>
