<script setup lang="ts">
import { Scissors } from '@lucide/vue'
import type { CutReport } from '#core/cutter'

const props = defineProps<{ id: string }>()
const report = shallowRef<CutReport | null>(null)
const as = ref<'svg' | 'dxf'>('svg')
const problem = ref('')
const busy = ref(false)

async function run(): Promise<void> {
  busy.value = true
  try {
    report.value = await $fetch<CutReport>(`/api/stencils/${props.id}/cut`, { query: { as: as.value } })
    problem.value = ''
  } catch (error) {
    problem.value = sentencesOf(error).join(' ')
  }
  busy.value = false
}
</script>

<template>
  <section aria-label="Cutter">
    <div class="flex items-center gap-2">
      <select v-model="as" class="field w-28!" aria-label="Cut from">
        <option value="svg">SVG</option>
        <option value="dxf">DXF</option></select
      ><button class="btn-main" :disabled="busy" @click="run">
        <Scissors :size="16" />Send to the simulated cutter
      </button>
    </div>
    <p class="mt-1 text-sm text-soft">
      A stand-in that ships with the application: 25 mm/s cutting, 120 mm/s travel, cuts no nearer than 0.8 mm
      (common practice).
    </p>
    <p v-if="problem" role="alert" class="text-stop">{{ problem }}</p>
    <dl v-if="report" class="mt-2 grid grid-cols-4 gap-2">
      <div
        v-for="[label, value] in [
          ['Cuts', report.cuts],
          ['Cut length', `${(report.cutLength / 1000).toFixed(2)} m`],
          ['Travel', `${(report.travel / 1000).toFixed(2)} m`],
          ['Time', `${clock(report.seconds)} min`],
        ]"
        :key="label"
        class="rounded-lg bg-stage p-2"
      >
        <dt class="eyebrow">{{ label }}</dt>
        <dd class="font-display text-lg font-semibold">{{ value }}</dd>
      </div>
    </dl>
    <p v-if="report" class="mt-2" :class="report.falling.length ? 'text-stop' : 'text-go'">
      {{
        report.falling.length
          ? `Problem: ${report.falling.length} ${report.falling.length === 1 ? 'piece falls' : 'pieces fall'} out, the largest ${report.falling[0]!.area.toFixed(0)} mm².`
          : 'Nothing falls out.'
      }}
    </p>
    <p v-if="report" :class="report.close.length ? 'text-care' : 'text-go'">
      {{
        report.close.length
          ? `Warning: ${report.close.length} ${report.close.length === 1 ? 'place' : 'places'} nearer than the machine can hold, the narrowest ${report.close[0]!.gap.toFixed(2)} mm.`
          : 'No two cuts are too near.'
      }}
    </p>
  </section>
</template>
