<script setup lang="ts">
import { FlipHorizontal2, LocateFixed, RotateCcw, RotateCw } from '@lucide/vue'
import { clockOf, whereIs, type SheetStep } from '#core/look'

const props = defineProps<{ step: SheetStep }>()
const bench = useBench()
const where = computed(() => whereIs(bench.world.face, props.step.at))

function typed(event: Event, apply: (s: SheetStep, value: number) => void, least: number, most: number): void {
  const box = event.target as HTMLInputElement, value = box.valueAsNumber
  if (Number.isFinite(value) && value >= least && value <= most) bench.editSheet('place', s => apply(s, bench.round(value)))
  else box.reportValidity()
}
</script>

<template>
  <div class="space-y-1.5">
    <p class="leading-snug">{{ where.landmark }}; {{ where.midline }}. Top at {{ clockOf(step.tilt) }}.</p>
    <div class="grid grid-cols-3 gap-1.5 text-[0.87rem]">
      <label>across, mm<input class="field" type="number" step="0.5" min="-400" max="400" :value="step.at[0]" aria-label="Across, mm" @change="typed($event, (s, v) => { s.at[0] = v }, -400, 400)"></label>
      <label>down, mm<input class="field" type="number" step="0.5" min="-400" max="400" :value="step.at[1]" aria-label="Down, mm" @change="typed($event, (s, v) => { s.at[1] = v }, -400, 400)"></label>
      <label>tilt, °<input class="field" type="number" step="1" min="-360" max="360" :value="step.tilt" aria-label="Tilt, degrees" @change="typed($event, (s, v) => { s.tilt = v }, -360, 360)"></label>
    </div>
    <div class="flex items-center gap-1">
      <button class="btn px-2" title="Turn 15° left (Shift [)" aria-label="Turn 15 degrees left" @click="bench.turn(-15)"><RotateCcw :size="15" /></button>
      <button class="btn px-2" title="Turn 15° right (Shift ])" aria-label="Turn 15 degrees right" @click="bench.turn(15)"><RotateCw :size="15" /></button>
      <button class="btn" title="Flip over (F)" @click="bench.flip()"><FlipHorizontal2 :size="15" />Side {{ step.side }}</button>
      <button class="btn" title="Aim at the focal point (A)" @click="bench.aim()"><LocateFixed :size="15" />Aim</button>
    </div>
  </div>
</template>
