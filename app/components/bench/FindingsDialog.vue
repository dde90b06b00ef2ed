<script setup lang="ts">
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const selection = useSelection()
const analysis = useAnalysis()
const groups = computed(() =>
  session
    .look!.steps.map((step, i) => ({
      step,
      number: i + 1,
      found: analysis.findings.filter(f => f.stepId === step.id),
    }))
    .filter(g => g.found.length),
)
/** What concerns the whole sitting. */
const whole = computed(() => analysis.findings.filter(f => f.stepId === null))
const count = (level: 'problem' | 'warning' | 'tip') =>
  analysis.findings.filter(f => f.level === level).length
const counted = (n: number, word: string) => `${n || 'no'} ${word}${n === 1 ? '' : 's'}`
const grave = computed(() => count('problem') + count('warning'))
/** What there is, in one line: "No problems, 6 tips". */
const summary = computed(() => {
  const parts = [
    counted(count('problem'), 'problem'),
    ...(count('warning') ? [counted(count('warning'), 'warning')] : []),
    ...(count('tip') ? [counted(count('tip'), 'tip')] : []),
  ]
  const line = parts.join(', ')
  return `${line.charAt(0).toUpperCase()}${line.slice(1)}.`
})
function select(id: string): void {
  selection.id = id
  emit('close')
}
</script>

<template>
  <PanelDialog open wide title="Check" @close="emit('close')">
    <p v-if="analysis.checking" role="status" class="mb-2 text-soft">Checking…</p>
    <p v-else-if="!groups.length && !whole.length" class="text-go">
      No problems: every step touches the skin, shows and stays clean, as far as can be told beforehand.
    </p>
    <p v-else class="mb-2" :class="grave ? '' : 'text-go'">{{ summary }}</p>
    <div class="max-h-[60vh] space-y-3 overflow-y-auto">
      <section v-if="whole.length">
        <h3 class="mb-1 font-semibold">Before painting</h3>
        <FindingList :findings="whole" />
      </section>
      <section v-for="g in groups" :key="g.step.id">
        <h3 class="mb-1 font-semibold">
          <button class="hover:text-mulberry" @click="select(g.step.id)">
            {{ g.number }}. {{ g.step.label }}
          </button>
        </h3>
        <FindingList :findings="g.found" />
      </section>
    </div>
    <p class="mt-3 text-sm text-soft">
      Estimates from common practice until your own readings replace them. Local rules and the product's label
      come first.
    </p>
  </PanelDialog>
</template>
