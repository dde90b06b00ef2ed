<script setup lang="ts">
import { toast } from 'vue-sonner'
import {
  capacityOfArea,
  releaseOfDabs,
  toolKnown,
  type ToolId,
  type ToolMeasure,
  type Wetness,
} from '#core/paint'

const props = defineProps<{ measure: ToolMeasure }>()
const kit = useKit()
const entered = ref<number | null>(null)
const weighed = ref(false)
const tool = defineModel<ToolId>('tool', { required: true })
const wetness = defineModel<Wetness>('wetness', { required: true })
watch([() => props.measure, tool], () => {
  entered.value = null
})

/** How a painter finds a value without and with scales. */
const WAYS = {
  release: {
    title: 'What it lets go',
    how: 'Draw a black line, let it dry, and dab your best white over it with one load. Count the layers until the line no longer shows.',
    ask: 'Layers until the line is hidden',
    scales: 'From scales, mg/cm²',
  },
  capacity: {
    title: 'What it holds',
    how: 'Load it once, and dab one layer side by side on paper until the prints turn pale. Measure the area that still printed well.',
    ask: 'Area from one load, cm²',
    scales: 'From scales, mg',
  },
  tip: {
    title: 'How wide its tip is',
    how: 'Dab it once on paper and measure the print across.',
    ask: 'Print across, mm',
    scales: null,
  },
} as const
const way = computed(() => WAYS[props.measure])
const byScales = computed(() => weighed.value && way.value.scales !== null)
const value = computed(() => {
  const n = Number(entered.value)
  if (!(n > 0)) return null
  if (byScales.value || props.measure === 'tip') return n
  return props.measure === 'release'
    ? releaseOfDabs(n, wetness.value)
    : capacityOfArea(n, { release: toolKnown(kit.readings, tool.value, 'release').value }, wetness.value)
})
async function add(): Promise<void> {
  if (value.value === null) return
  try {
    await kit.read('tools', {
      tool: tool.value,
      measure: props.measure,
      value: Number(value.value.toPrecision(6)),
    })
    entered.value = null
  } catch (error) {
    toast.error(sentencesOf(error).join(' '))
  }
}
</script>

<template>
  <h2 class="font-display text-lg font-semibold">{{ way.title }}</h2>
  <p class="text-[0.93rem] leading-snug text-soft">{{ way.how }}</p>
  <form class="space-y-2" aria-label="Reading of a tool" @submit.prevent="add">
    <ToolPicker v-model="tool" /><WetnessPicker v-if="measure !== 'tip' && !byScales" v-model="wetness" />
    <label v-if="way.scales" class="flex items-center gap-2"
      ><input v-model="weighed" type="checkbox" class="accent-mulberry" />I have weighed it</label
    >
    <label class="block"
      >{{ byScales ? way.scales : way.ask
      }}<NumberInput live v-model="entered" :min="0" :step="0.1" clearable
    /></label>
    <p v-if="value !== null && measure !== 'tip' && !byScales" class="text-sm text-soft">
      That gives {{ measure === 'release' ? `${value.toFixed(2)} mg/cm²` : `${value.toFixed(0)} mg`
      }}<template v-if="measure === 'capacity'"
        >, taking it that a tool is used until three fifths of what it holds are gone</template
      >.
    </p>
    <button class="btn-main w-full" :disabled="value === null">Keep this reading</button>
  </form>
</template>
