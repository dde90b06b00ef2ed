<script setup lang="ts">
import { PenLine, X } from '@lucide/vue'
import {
  FREE,
  type FreePlace,
  type GlitterStep,
  type Pull,
  type Rework,
  type SheetStep,
  type Step,
  type Wash,
} from '#core/look'

/** Places and drawn shapes that a step leaves unpainted where it runs over them. */
const props = defineProps<{ step: Wash | Pull | SheetStep | GlitterStep | Rework }>()
const steps = useSteps()
const scene = useScene()
const drawing = useDrawing()
const words: Readonly<Record<FreePlace, string>> = {
  'eyes': 'open eyes',
  'lids': 'lids',
  'brows': 'brows',
  'nostrils': 'nostrils',
  'lips': 'lips',
  'jaw': 'jaw',
  'left half': 'their right half',
  'right half': 'their left half',
}
type Leaving = typeof props.step
const KINDS: readonly string[] = ['wash', 'pull', 'sheet', 'glitter', 'rework']
const leaves = (s: Step): s is Leaving => KINDS.includes(s.kind)
const change = (recipe: (s: Leaving) => void) =>
  steps.edit('leave free', s => {
    if (leaves(s)) recipe(s)
  })
function toggle(what: FreePlace): void {
  const next = FREE.filter(f => (f === what) !== (props.step.free?.includes(f) ?? false))
  change(s => {
    if (next.length) s.free = next
    else delete s.free
  })
}
const ASK = 'Draw round what stays free, or tap for a disc'
const draw = () =>
  drawing.ask('free', ASK, loop =>
    change(s => {
      s.holes = [...(s.holes ?? []), loop]
    }),
  )
const drop = (n: number) =>
  change(s => {
    const next = s.holes?.filter((_, i) => i !== n) ?? []
    if (next.length) s.holes = next
    else delete s.holes
  })
</script>

<template>
  <div class="space-y-1.5">
    <div v-if="scene.ground.face" class="flex flex-wrap gap-1" role="group" aria-label="Places left free">
      <button
        v-for="what in FREE"
        :key="what"
        class="chip"
        :aria-pressed="step.free?.includes(what) ?? false"
        @click="toggle(what)"
      >
        {{ words[what] }}
      </button>
    </div>
    <div class="flex flex-wrap items-center gap-1">
      <button class="btn px-2 text-[0.87rem]" :aria-pressed="drawing.asked?.id === 'free'" @click="draw">
        <PenLine :size="14" />Draw a shape
      </button>
      <span
        v-for="(_, n) in step.holes ?? []"
        :key="n"
        class="inline-flex items-center gap-0.5 rounded-full border border-rule bg-field pl-2 text-[0.87rem]"
        >shape {{ n + 1
        }}<button class="icon-btn size-[24px]!" :aria-label="`Take shape ${n + 1} out`" @click="drop(n)">
          <X :size="12" /></button
      ></span>
    </div>
  </div>
</template>
