<script setup lang="ts">
import { boxOf, EMPTY_BOX } from '#core/geometry'
import { axisFor, washRings, type Wash } from '#core/look'

const props = defineProps<{ step: Wash }>()
const bench = useBench()
const choices = { out: 'from the middle out', down: 'downward', up: 'upward', across: 'left to right' } as const
type Choice = keyof typeof choices

const current = computed<Choice>(() => {
  const { axis } = props.step
  if (axis.kind === 'out') return 'out'
  const dx = axis.to[0] - axis.from[0], dy = axis.to[1] - axis.from[1]
  return Math.abs(dx) > Math.abs(dy) ? 'across' : dy > 0 ? 'down' : 'up'
})

function choose(event: Event): void {
  const choice = (event.target as HTMLSelectElement).value as Choice, rings = washRings(props.step, bench.ground)
  const b = rings.reduce((box, r) => boxOf(r, box), { ...EMPTY_BOX }), x = (b.minX + b.maxX) / 2, y = (b.minY + b.maxY) / 2
  const line: Record<Exclude<Choice, 'out'>, Wash['axis']> = {
    down: { kind: 'line', from: [x, b.minY], to: [x, b.maxY] }, up: { kind: 'line', from: [x, b.maxY], to: [x, b.minY] }, across: { kind: 'line', from: [b.minX, y], to: [b.maxX, y] },
  }
  bench.editStep('how the colours run', (s) => { if (s.kind === 'wash') s.axis = choice === 'out' ? axisFor(rings) as Wash['axis'] : line[choice] })
}
</script>

<template>
  <select class="field" :value="current" aria-label="How the colours run" :disabled="step.colours.length < 2" @change="choose">
    <option v-for="(words, key) in choices" :key="key" :value="key">{{ words }}</option>
  </select>
</template>
