<script setup lang="ts">
import { toned } from '#core/checks'
import { laysNothing, stepEffort, type Step } from '#core/look'

const props = defineProps<{ step: Step }>()
const scene = useScene()
const analysis = useAnalysis()
const settings = useSettings()
const shows = computed(() => analysis.shows.get(props.step.id))
const outcome = computed(() => analysis.outcomes.get(props.step.id))
const found = computed(() => analysis.findings.filter(f => f.stepId === props.step.id))
const tone = computed(
  () => shows.value !== undefined && shows.value.median < 10 && toned(props.step, shows.value, scene.world),
)
const effort = computed(() => stepEffort(props.step, scene.world))
</script>

<template>
  <section class="space-y-1.5" aria-label="What comes of it">
    <dl class="grid grid-cols-[auto_1fr] items-baseline gap-x-2.5 text-[0.87rem] leading-snug">
      <template v-if="shows && !laysNothing(step)"
        ><dt class="eyebrow">Shows</dt>
        <dd data-testid="shows">
          <strong
            class="font-display"
            :class="
              tone ? 'text-go' : shows.median < 5 ? 'text-stop' : shows.median < 10 ? 'text-care' : 'text-go'
            "
            >{{ shows.median.toFixed(0) }}</strong
          >
          {{ tone ? 'a tone on its base' : shows.words
          }}<span class="text-soft">, weakest tenth {{ shows.tenth.toFixed(0) }}</span
          >{{ ' ' }}<EstimateMark /></dd
      ></template>
      <template v-if="outcome">
        <dt class="eyebrow">Bleeds</dt>
        <dd data-testid="spread">
          <p v-for="(p, i) in outcome.passes" :key="i">
            <strong class="font-display" :class="p.closed ? 'text-stop' : 'text-go'">{{
              settings.length(p.typical, 2)
            }}</strong><span class="text-soft">, most {{ settings.length(p.creep, 2) }}</span
            >{{ ' '
            }}<span v-if="p.closed" class="text-stop"
              >{{ p.closed }} {{ p.closed === 1 ? 'bridge closes' : 'bridges close' }} ×</span
            >{{ ' ' }}<EstimateMark v-if="i === 0" />
          </p>
        </dd>
      </template>
      <dt class="eyebrow">Takes</dt>
      <dd>
        {{ clock(effort.seconds) }} min<template v-if="effort.loads"
          >, {{ effort.loads }} {{ effort.loads === 1 ? 'load' : 'loads' }}</template
        >{{ ' ' }}
        <EstimateMark />
      </dd>
    </dl>
    <FindingList v-if="found.length" :findings="found" />
  </section>
</template>
