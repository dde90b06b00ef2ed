<script setup lang="ts">
import { boxOf, EMPTY_BOX } from '#core/geometry'
import { axisFor, washSides, type Wash } from '#core/look'
import { TOOLS } from '#core/paint'

const props = defineProps<{ step: Wash }>()
const scene = useScene()
const steps = useSteps()
const choices = {
  out: 'from the middle out',
  down: 'downward',
  up: 'upward',
  across: 'left to right',
  edge: 'in from its own edge',
  outward: 'outward, to the side',
  inward: 'toward the midline',
} as const
type Choice = keyof typeof choices

const current = computed<Choice>(() => {
  const { axis } = props.step
  if (axis.kind !== 'line') return axis.kind
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
  const line: Record<Exclude<Choice, 'out' | 'edge'>, Wash['axis']> = {
    down: { kind: 'line', from: [x, b.minY], to: [x, b.maxY] },
    up: { kind: 'line', from: [x, b.maxY], to: [x, b.minY] },
    across: { kind: 'line', from: [b.minX, y], to: [b.maxX, y] },
    outward: { kind: 'line', from: [x < 0 ? b.maxX : b.minX, y], to: [x < 0 ? b.minX : b.maxX, y] },
    inward: { kind: 'line', from: [x < 0 ? b.minX : b.maxX, y], to: [x < 0 ? b.maxX : b.minX, y] },
  }
  steps.editKind('wash', 'how the colours run', s => {
    s.axis =
      choice === 'out'
        ? axisFor(rings)
        : choice === 'edge'
          ? { kind: 'edge', depth: Math.max(4, Math.round(Math.min(b.maxX - b.minX, b.maxY - b.minY) / 4)) }
          : line[choice]
  })
}
/** Where the colours begin and end, by numbers: for hands that do not drag. */
const places = computed<[string, number, number][]>(() => {
  const { axis } = props.step
  if (axis.kind === 'edge') return []
  const begin: [string, number, number][] = [
    ['begins across', 0, axis.from[0]],
    ['begins down', 1, axis.from[1]],
  ]
  return axis.kind === 'out'
    ? [...begin, ['reaches', 2, axis.reach]]
    : [...begin, ['ends across', 2, axis.to[0]], ['ends down', 3, axis.to[1]]]
})
const putPlace = (n: number, v: number) =>
  steps.editKind(
    'wash',
    'where the colours run',
    s => {
      if (s.axis.kind === 'edge') return
      if (n < 2) s.axis.from[n as 0 | 1] = v
      else if (s.axis.kind === 'out') s.axis.reach = Math.max(1, v)
      else s.axis.to[(n - 2) as 0 | 1] = v
    },
    `axis-${n}`,
  )
/** A band of the sponge's width that repeats, or the whole cake drawn across once. */
const bands = (on: boolean) =>
  steps.editKind('wash', 'bands', s => {
    if (s.axis.kind !== 'line') return
    const { every: _, ...once } = s.axis
    s.axis = on ? { ...once, every: TOOLS[s.tool].tip } : once
  })
const runsOut = (on: boolean) =>
  steps.editKind('wash', 'run out to nothing', s => {
    if (on) s.runsOut = 0.4
    else delete s.runsOut
  })
const runs = computed(
  () => props.step.colours.length > 1 || props.step.cake || props.step.runsOut !== undefined,
)
const putStops = (stops: number[], n: number) =>
  steps.editKind(
    'wash',
    'where a colour lies',
    s => {
      s.stops = stops
    },
    `stop-${n}`,
  )
</script>

<template>
  <div class="space-y-1.5">
    <select
      class="field"
      :value="current"
      aria-label="How the colours run"
      :disabled="!runs"
      @change="choose"
    >
      <option v-for="[key, words] in offered" :key="key" :value="key">{{ words }}</option>
    </select>
    <p v-if="runs && step.axis.kind !== 'edge'" class="text-[0.87rem] leading-snug text-soft">
      Drag the square handles on the face: filled where they begin, open where they end.
    </p>
    <div v-if="runs && step.axis.kind !== 'edge'" class="grid grid-cols-2 gap-1.5">
      <NumberField
        v-for="[words, n, value] in places"
        :key="words"
        :model-value="value"
        :label="words"
        unit="mm"
        :least="-400"
        :most="400"
        :step="1"
        @update:model-value="v => putPlace(n, v)"
      />
    </div>
    <NumberField
      v-if="runs && step.axis.kind === 'edge'"
      :model-value="step.axis.depth"
      label="how deep"
      unit="mm"
      :least="1"
      :most="80"
      @update:model-value="
        depth =>
          steps.editKind('wash', 'how deep', s => {
            s.axis = { kind: 'edge', depth }
          })
      "
    />
    <StopsField
      v-if="step.colours.length > 1 && !step.cake"
      :stops="step.stops"
      :count="step.colours.length"
      @put="putStops"
    />
    <SwitchField
      v-if="step.cake && step.axis.kind === 'line'"
      :model-value="step.axis.every !== undefined"
      label="Bands of the sponge's width"
      @update:model-value="bands"
    />
    <SwitchField
      :model-value="step.runsOut !== undefined"
      label="Runs out to nothing"
      @update:model-value="runsOut"
    />
  </div>
</template>
