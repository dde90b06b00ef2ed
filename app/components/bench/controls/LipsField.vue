<script setup lang="ts">
import type { LipsStep } from '#core/look'

defineProps<{ step: LipsStep }>()
const steps = useSteps()
const edit = (label: string, recipe: (s: LipsStep) => void) => steps.editKind('lips', label, recipe)
</script>

<template>
  <div class="grid grid-cols-2 gap-1.5 text-[0.87rem]">
    <label
      >which<select
        class="field"
        :value="step.which"
        aria-label="Which lips"
        @change="
          edit('which lips', s => {
            s.which = ($event.target as HTMLSelectElement).value as LipsStep['which']
          })
        "
      >
        <option value="both">both</option>
        <option value="upper">upper</option>
        <option value="lower">lower</option>
      </select></label
    >
    <label
      >with<select
        class="field"
        :value="step.tool"
        aria-label="With what"
        @change="
          edit('with what', s => {
            s.tool = ($event.target as HTMLSelectElement).value as LipsStep['tool']
          })
        "
      >
        <option value="cotton bud">a cotton bud</option>
        <option value="own brush">their own brush</option>
      </select></label
    >
  </div>
</template>
