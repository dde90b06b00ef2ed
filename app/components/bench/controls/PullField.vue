<script setup lang="ts">
import { MANNERS, MANNER_HANDLES, MANNER_WORDS, type Manner, type Pull } from '#core/look'

/** How a loaded sponge is led: its manner, its width, and how it ends. */
const props = defineProps<{ step: Pull }>()
const steps = useSteps()
const edit = (label: string, recipe: (s: Pull) => void, merge: string | null = null) =>
  steps.editKind('pull', label, recipe, merge)
function lead(manner: Manner): void {
  edit('how it is led', s => {
    const [least, most] = MANNER_HANDLES[manner]
    s.manner = manner
    s.points = s.points.slice(0, most)
    const [x, y] = s.points.at(-1)!
    while (s.points.length < least) s.points.push([x + 20, y])
  })
}
const numbers = computed(
  () =>
    [
      ...(props.step.manner === 'turned'
        ? [['sweep', 'how far round', '°', 20, 360, 5] as const]
        : [['width', 'width of its edge', 'mm', 3, 120, 1] as const]),
      ...(props.step.manner === 'stamped' ? [['angle', 'turned by', '°', -180, 180, 5] as const] : []),
    ] as const,
)
const put = (key: (typeof numbers.value)[number][0], words: string, value: number) =>
  edit(
    words,
    s => {
      s[key] = value
    },
    key,
  )
</script>

<template>
  <div class="space-y-1.5">
    <select
      class="field"
      :value="step.manner"
      aria-label="How it is led"
      @change="lead(($event.target as HTMLSelectElement).value as Manner)"
    >
      <option v-for="m in MANNERS" :key="m" :value="m">{{ MANNER_WORDS[m] }}</option>
    </select>
    <div class="grid grid-cols-2 gap-2">
      <NumbersField :numbers="numbers" :values="step" @put="put" />
    </div>
    <SwitchField
      :model-value="step.ends < 1"
      label="Runs out toward its end"
      @update:model-value="
        v =>
          edit('how it ends', s => {
            s.ends = v ? 0 : 1
          })
      "
    />
  </div>
</template>
