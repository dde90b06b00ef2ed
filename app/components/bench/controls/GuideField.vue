<script setup lang="ts">
import { GUIDE_TOOLS, type Guide, type GuideTool } from '#core/look'

/** A mark to go by: dots or a line, with what it is made, and whether it is wiped off again. */
defineProps<{ step: Guide }>()
const steps = useSteps()
const edit = (label: string, recipe: (s: Guide) => void) => steps.editKind('guide', label, recipe)
const FORMS = [
  ['dots', 'dots'],
  ['line', 'a line'],
] as const
const shape = (form: Guide['form']) =>
  edit('dots or line', s => {
    s.form = form
    // A line needs somewhere to go.
    if (form === 'line' && s.points.length === 1) s.points.push([s.points[0]![0], s.points[0]![1] - 20])
  })
</script>

<template>
  <div class="space-y-1.5">
    <p class="text-[0.87rem] leading-snug text-soft">
      Nothing of it is painted: it stands on the face while you place, on the step list, and in the time.
    </p>
    <div class="flex gap-1">
      <button
        v-for="[form, words] in FORMS"
        :key="form"
        class="chip"
        :aria-pressed="step.form === form"
        @click="shape(form)"
      >
        {{ words }}
      </button>
    </div>
    <label class="block text-[0.87rem]"
      >made with<select
        class="field"
        :value="step.by"
        aria-label="What it is marked with"
        @change="
          edit('what it is marked with', s => {
            s.by = ($event.target as HTMLSelectElement).value as GuideTool
          })
        "
      >
        <option v-for="(words, id) in GUIDE_TOOLS" :key="id" :value="id">{{ words }}</option>
      </select></label
    >
    <SwitchField
      :model-value="step.wiped"
      label="Wiped off after use"
      @update:model-value="
        v =>
          edit('wiped off', s => {
            s.wiped = v
          })
      "
    />
  </div>
</template>
