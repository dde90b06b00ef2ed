<script setup lang="ts">
import { paramsOfRun, RUN_WORDS, type DotsStep } from '#core/look'
import { BRUSHES } from '#core/paint'

/** A run of dots: colour, brush and numbers. */
const props = defineProps<{ step: DotsStep }>()
const steps = useSteps()
const params = computed(() => paramsOfRun(props.step.run))
const edit = (label: string, recipe: (s: DotsStep) => void) => steps.editKind('dots', label, recipe)
const rounds = ['round1', 'round2', 'round3', 'round4'] as const
</script>

<template>
  <div class="space-y-1.5">
    <p>{{ RUN_WORDS[step.run] }}</p>
    <SourceField :step="step" />
    <PaintPicker
      :model-value="step.paint"
      label="Colour"
      @update:model-value="
        p =>
          edit('colour', s => {
            s.paint = p
          })
      "
    />
    <select
      class="field"
      :value="step.brush"
      aria-label="Brush"
      @change="
        edit('brush', s => {
          s.brush = ($event.target as HTMLSelectElement).value as DotsStep['brush']
        })
      "
    >
      <option v-for="b in rounds" :key="b" :value="b">
        {{ BRUSHES[b].name }}, fully loaded for big ones
      </option>
    </select>
    <ParamsField :params="params" :value="step.params" />
  </div>
</template>
