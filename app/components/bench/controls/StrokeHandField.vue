<script setup lang="ts">
import type { LineStep } from '#core/look'

/** How the hand leads a stroke: times over, pressure along it, and a brush that runs dry. */
defineProps<{ step: LineStep }>()
const steps = useSteps()
const edit = (label: string, recipe: (s: LineStep) => void, merge: string | null = null) =>
  steps.editKind('line', label, recipe, merge)
const PLACES = ['at the start', 'in the middle', 'at the end'] as const
const press = (n: number, percent: number) =>
  edit(
    'pressure along it',
    s => {
      const next = [...(s.pressed ?? [1, 1, 1])] as NonNullable<LineStep['pressed']>
      next[n] = percent / 100
      s.pressed = next
    },
    `pressed-${n}`,
  )
</script>

<template>
  <div class="space-y-1.5">
    <div class="flex items-center justify-between">
      <span class="text-[0.93rem]">Times over</span
      ><CountStepper
        :model-value="step.times ?? 1"
        label="times over"
        :most="4"
        @update:model-value="
          v =>
            edit('times over', s => {
              if (v > 1) s.times = v
              else delete s.times
            })
        "
      />
    </div>
    <SwitchField
      :model-value="step.fades !== undefined"
      label="The brush runs dry toward the end"
      @update:model-value="
        v =>
          edit('run dry', s => {
            if (v) s.fades = [1, 0]
            else delete s.fades
          })
      "
    />
    <SwitchField
      :model-value="step.pressed !== undefined"
      label="Pressure drawn along it"
      @update:model-value="
        v =>
          edit('pressure along it', s => {
            if (v) s.pressed = [0.4, 1.2, 0.4]
            else delete s.pressed
          })
      "
    />
    <div v-if="step.pressed" class="grid grid-cols-3 gap-1.5">
      <NumberField
        v-for="(words, n) in PLACES"
        :key="n"
        :model-value="Math.round(100 * step.pressed[n]!)"
        :label="words"
        unit="%"
        :least="0"
        :most="200"
        :step="10"
        @update:model-value="v => press(n, v)"
      />
    </div>
  </div>
</template>
