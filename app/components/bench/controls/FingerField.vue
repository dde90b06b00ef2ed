<script setup lang="ts">
/** The width of the painter's finger, by which places are told: an estimate until it is measured. */
const settings = useSettings()
function measured(mm: number | null): void {
  settings.finger = mm!
  settings.fingerMeasured = true
}
</script>

<template>
  <label class="flex items-center justify-between gap-2"
    ><span>Width of your finger, mm <EstimateMark v-if="!settings.fingerMeasured" /></span
    ><NumberInput
      :model-value="settings.finger"
      class="w-18!"
      :min="8"
      :max="30"
      :step="0.5"
      label="Width of your finger, mm"
      @update:model-value="measured"
  /></label>
</template>
