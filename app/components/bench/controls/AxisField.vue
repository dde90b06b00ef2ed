<script setup lang="ts">
import { boxOf, EMPTY_BOX } from '#core/geometry'
import { axisFor, washSides, type Wash } from '#core/look'

const props = defineProps<{ step: Wash }>()
const scene = useScene()
const steps = useSteps()
const choices = {
  out: 'from the middle out',
  down: 'downward',
  up: 'upward',
  across: 'left to right',
  outward: 'outward, to the side',
  inward: 'toward the midline',
} as const
type Choice = keyof typeof choices

const current = computed<Choice>(() => {
  const { axis } = props.step
  if (axis.kind === 'out') return 'out'
  const dx = axis.to[0] - axis.from[0]
  const dy = axis.to[1] - axis.from[1]
  if (Math.abs(dx) <= Math.abs(dy)) return dy > 0 ? 'down' : 'up'
  // On one side of the face it matters which way is outward: the twin's dark is outward too then.
  return Math.abs(middle(props.step)) < 3 ? 'across' : dx * middle(props.step) > 0 ? 'outward' : 'inward'
})

/** Which side of the midline the base's own side lies on, mm. */
function middle(step: Wash): number {
  const b = washSides(step, scene.ground)[0]!.reduce((box, r) => boxOf(r, box), { ...EMPTY_BOX })
  return (b.minX + b.maxX) / 2
}
const offered = computed(() =>
  Object.entries(choices).filter(([key]) =>
    Math.abs(middle(props.step)) < 3 ? key !== 'outward' && key !== 'inward' : key !== 'across',
  ),
)

function choose(event: Event): void {
  const choice = (event.target as HTMLSelectElement).value as Choice
  const rings = washSides(props.step, scene.ground)[0]!
  const b = rings.reduce((box, r) => boxOf(r, box), { ...EMPTY_BOX })
  const x = (b.minX + b.maxX) / 2
  const y = (b.minY + b.maxY) / 2
  const line: Record<Exclude<Choice, 'out'>, Wash['axis']> = {
    down: { kind: 'line', from: [x, b.minY], to: [x, b.maxY] },
    up: { kind: 'line', from: [x, b.maxY], to: [x, b.minY] },
    across: { kind: 'line', from: [b.minX, y], to: [b.maxX, y] },
    outward: { kind: 'line', from: [x < 0 ? b.maxX : b.minX, y], to: [x < 0 ? b.minX : b.maxX, y] },
    inward: { kind: 'line', from: [x < 0 ? b.minX : b.maxX, y], to: [x < 0 ? b.maxX : b.minX, y] },
  }
  steps.editKind('wash', 'how the colours run', s => {
    s.axis = choice === 'out' ? axisFor(rings) : line[choice]
  })
}
</script>

<template>
  <select
    class="field"
    :value="current"
    aria-label="How the colours run"
    :disabled="step.colours.length < 2"
    @change="choose"
  >
    <option v-for="[key, words] in offered" :key="key" :value="key">{{ words }}</option>
  </select>
</template>
