<script setup lang="ts">
import { ACTS, ACT_WORDS, type Act, type Rework } from '#core/look'

/** Going over what lies there: what is done, over which steps, how soft and how far. */
const props = defineProps<{ step: Rework }>()
const session = useSession()
const steps = useSteps()
const edit = (label: string, recipe: (s: Rework) => void, merge: string | null = null) =>
  steps.editKind('rework', label, recipe, merge)
const before = computed(() => {
  const all = session.look!.steps
  return all.slice(
    0,
    all.findIndex(s => s.id === props.step.id),
  )
})
const follows = computed(() => props.step.area === 'print' || props.step.area === 'rim')
const toggle = (id: string) =>
  edit('over what', s => {
    const next = s.over.includes(id) ? s.over.filter(o => o !== id) : [...s.over, id]
    if (next.length) s.over = next
  })
const numbers = computed(
  () =>
    [
      ...(props.step.area === 'trail' || props.step.area === 'rim'
        ? [['width', 'width', 'mm', 1, 60, 0.5] as const]
        : []),
      ['edge', 'softness of its edge', 'mm', 0, 15, 0.2] as const,
      ...(props.step.act === 'blend' ? [['reach', 'colours run', 'mm', 0.5, 20, 0.5] as const] : []),
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
      :value="step.act"
      aria-label="What is done"
      @change="
        edit('what is done', s => {
          s.act = ($event.target as HTMLSelectElement).value as Act
        })
      "
    >
      <option v-for="a in ACTS" :key="a" :value="a">{{ ACT_WORDS[a] }}</option>
    </select>
    <div v-if="follows" class="flex flex-wrap gap-1" role="group" aria-label="Over which steps">
      <button
        v-for="s in before"
        :key="s.id"
        class="chip max-w-full truncate"
        :aria-pressed="step.over.includes(s.id)"
        @click="toggle(s.id)"
      >
        {{ s.label }}
      </button>
    </div>
    <div class="grid grid-cols-2 gap-2">
      <NumbersField :numbers="numbers" :values="step" @put="put" />
      <NumberField
        v-if="step.act !== 'blend'"
        :model-value="Math.round(100 * step.stays)"
        label="tint that stays"
        unit="%"
        :least="0"
        :most="100"
        :step="1"
        @update:model-value="
          v =>
            edit(
              'tint that stays',
              s => {
                s.stays = v / 100
              },
              'stays',
            )
        "
      />
    </div>
  </div>
</template>
