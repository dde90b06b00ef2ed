<script setup lang="ts">
/** What a paint's label says of a place: it may, it may not, or nobody has entered it yet. */
defineProps<{ label: string }>()
const value = defineModel<boolean | null>({ required: true })
const ANSWERS = [
  { key: 'unknown', value: null, words: 'not entered (counts as no)' },
  { key: 'yes', value: true, words: 'yes, says the label' },
  { key: 'no', value: false, words: 'no, says the label' },
] as const
const key = computed(() => ANSWERS.find(a => a.value === value.value)!.key)
const put = (event: Event) => {
  const chosen = ANSWERS.find(a => a.key === (event.target as HTMLSelectElement).value)
  if (chosen) value.value = chosen.value
}
</script>

<template>
  <label
    >{{ label
    }}<select class="field" :value="key" @change="put">
      <option v-for="a in ANSWERS" :key="a.key" :value="a.key">{{ a.words }}</option>
    </select></label
  >
</template>
