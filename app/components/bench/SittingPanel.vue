<script setup lang="ts">
import { ageOf, type Sitting } from '#core/look'

/** What the person is asked before painting; by ticket number only. */
const session = useSession()
const analysis = useAnalysis()
const sitting = computed(() => session.look!.sitting)
const put = (key: keyof Sitting, value: string | number | null) =>
  session.edit('ask', d => void Object.assign(d.sitting, { [key]: value }))
const asks: {
  key: 'allergies' | 'skin' | 'eyes' | 'lips' | 'patch'
  words: string
  answers: readonly string[]
}[] = [
  { key: 'allergies', words: 'Allergies', answers: ['not asked', 'none', 'some'] },
  { key: 'skin', words: 'Skin there', answers: ['not asked', 'sound', 'broken or sore'] },
  { key: 'eyes', words: 'Near the eyes', answers: ['not asked', 'yes', 'no'] },
  { key: 'lips', words: 'Lips', answers: ['not asked', 'yes', 'no'] },
  { key: 'patch', words: 'Test patch', answers: ['none', 'clear', 'reacted'] },
]
const asked = computed(
  () => asks.filter(a => a.key !== 'patch' && sitting.value[a.key] !== 'not asked').length,
)
const whole = computed(() => analysis.findings.filter(f => f.stepId === null))
function ticketed(event: Event): void {
  put('ticket', (event.target as HTMLInputElement).value.slice(0, 20))
}
</script>

<template>
  <details
    class="rounded-lg border border-rule bg-card px-2.5 py-1.5 text-[0.93rem]"
    data-testid="sitting"
    :open="whole.some(f => f.level === 'problem')"
  >
    <summary class="font-semibold">
      Client questions
      <span class="font-normal text-soft"
        >{{ asked === 4 ? 'all asked' : `${asked} of 4 asked`
        }}{{ sitting.ticket ? `, ticket ${sitting.ticket}` : '' }}</span
      >
    </summary>
    <div class="mt-1.5 grid grid-cols-2 gap-1.5 text-[0.87rem]">
      <label
        >ticket, no name<input
          class="field"
          v-kept="sitting.ticket"
          maxlength="20"
          placeholder="014"
          aria-label="Ticket number"
          @change="ticketed"
      /></label>
      <label
        >age, years<NumberInput
          :model-value="sitting.age"
          :min="0"
          :max="120"
          clearable
          :placeholder="`${ageOf(session.look!)}, as the face`"
          label="Age of the person"
          @update:model-value="age => put('age', age === null ? null : Math.floor(age))"
      /></label>
      <label v-for="a in asks" :key="a.key"
        >{{ a.words
        }}<select
          class="field"
          :value="sitting[a.key]"
          :aria-label="a.words"
          @change="put(a.key, ($event.target as HTMLSelectElement).value)"
        >
          <option v-for="v in a.answers" :key="v" :value="v">{{ v }}</option>
        </select></label
      >
    </div>
    <FindingList v-if="whole.length" class="mt-1.5" :findings="whole" />
  </details>
</template>
