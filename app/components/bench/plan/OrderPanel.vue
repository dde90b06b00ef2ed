<script setup lang="ts">
import { Lock, LockOpen } from '@lucide/vue'
import { keepPlace, plannedOrder, type OrderConflict, type OrderPlan, type Timeline } from '#core/look'

/** The shortest order, against the one that was entered: what it saves, why, and one press to take it. */
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const painter = usePainter()
const kit = useKit()
const analysis = useAnalysis()
const found = shallowRef<OrderPlan | OrderConflict | null>(null)
const failed = ref<string[]>([])
const plan = computed(() => (found.value && 'planned' in found.value ? found.value : null))
const conflict = computed(() => (found.value && 'sentences' in found.value ? found.value.sentences : []))
const { old, ask, answer } = useAsked()
const look = async (question: number): Promise<void> => {
  try {
    found.value = await painter.plan(session.look!)
    answer(question)
  } catch (error) {
    if (!(error instanceof GivenUp)) failed.value = sentencesOf(error)
  }
}
const again = newestOnly(look)
watch([() => session.look?.steps, () => kit.readings], () => again(ask()), { immediate: true })
/** What the check offers for the steps that cannot be put in order: the same presses solve it here. */
const solving = computed(() => {
  const ids = found.value && 'stepIds' in found.value ? found.value.stepIds : []
  return analysis.findings.filter(
    f => f.fix && f.stepId !== null && ids.includes(f.stepId) && ORDERING.includes(f.check),
  )
})
/** The checks that speak of what is wet or dry. */
const ORDERING: readonly string[] = ['glitterHost', 'wetGround', 'mud']
const root = useTemplateRef<HTMLElement>('root')
// What was pressed may be gone with the list: the focus stays in the dialog, where Escape closes it.
watch(found, async () => {
  await nextTick()
  if (document.activeElement === document.body) root.value?.focus()
})
const step = (id: string) => session.look!.steps.find(s => s.id === id)
const saved = computed(() => (plan.value ? plan.value.entered.finish - plan.value.planned.finish : 0))
/** Whether something comes too late for wet paint in the order as it stands. */
const late = computed(() => (plan.value && !plan.value.inTime ? true : false))
const which = ref<'planned' | 'entered'>('planned')
const shown = computed<Timeline | null>(() => plan.value?.[which.value] ?? null)
/** Share of the whole time, %. */
const share = (seconds: number) => (100 * seconds) / Math.max(1, plan.value?.entered.finish ?? 1)
const place = (id: string) => session.look!.steps.findIndex(s => s.id === id) + 1
const waitBefore = (id: string) => shown.value?.waits.find(w => w.before === id) ?? null
/** Whether a step comes elsewhere than it was entered, against those that are painted. */
const moved = (id: string) => plan.value!.entered.order.indexOf(id) !== plan.value!.planned.order.indexOf(id)
const lock = (id: string, on: boolean) => session.edit('keep its place', keepPlace(id, on))
function take(): void {
  if (session.edit('take the planned order', plannedOrder(plan.value!.planned.order))) emit('close')
}
</script>

<template>
  <div ref="root" class="min-h-64 outline-none" tabindex="-1">
    <p v-for="s in failed" :key="s" role="alert" class="text-stop">{{ s }}</p>
    <WaitBar v-if="!found && !failed.length" words="Looking for the shortest order…" @stop="emit('close')" />
    <div v-if="conflict.length" class="rounded-xl border border-care bg-card p-3" data-testid="plan-conflict">
      <p v-for="s in conflict" :key="s">{{ s }}</p>
      <FindingList v-if="solving.length" class="mt-2" :findings="solving" />
      <ul class="mt-2 flex flex-wrap gap-1">
        <li v-for="s in session.look!.steps.filter(x => x.locked)" :key="s.id">
          <button class="btn px-2 text-[0.87rem]" @click="lock(s.id, false)">
            <LockOpen :size="14" />Let "{{ s.label }}" go
          </button>
        </li>
      </ul>
    </div>
    <div
      v-else-if="plan && shown"
      class="grid grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_320px] gap-5"
      :class="old && 'opacity-50'"
      :aria-busy="old"
    >
      <p v-if="old" role="status" class="text-soft lg:col-span-2">
        Of before the last change; being worked out anew…
      </p>
      <section aria-label="Steps in time">
        <div class="mb-2 flex gap-1" role="group" aria-label="Which order">
          <button class="chip" :aria-pressed="which === 'planned'" @click="which = 'planned'">
            planned, {{ clock(plan.planned.finish) }}</button
          ><button class="chip" :aria-pressed="which === 'entered'" @click="which = 'entered'">
            as entered, {{ clock(plan.entered.finish) }}
          </button>
        </div>
        <ol class="max-h-[52vh] space-y-0.5 overflow-y-auto pr-1" data-testid="plan-steps">
          <li v-for="(id, i) in shown.order" :key="id" class="flex items-center gap-2 text-[0.9rem]">
            <button
              class="icon-btn size-[24px]! shrink-0"
              :aria-pressed="step(id)?.locked === true"
              v-tip="step(id)?.locked ? 'It keeps its place: let it go' : 'Let it keep its place'"
              :aria-label="`${step(id)?.label}: keeps its place`"
              @click="lock(id, !step(id)?.locked)"
            >
              <component
                :is="step(id)?.locked ? Lock : LockOpen"
                :size="13"
                :class="step(id)?.locked ? 'text-mulberry' : 'text-soft/60'"
              />
            </button>
            <span
              class="w-52 shrink-0 truncate"
              :class="which === 'planned' && moved(id) && 'font-semibold text-mulberry'"
              >{{ place(id) }} {{ step(id)?.label }}</span
            >
            <span class="relative h-5 min-w-0 flex-1 rounded bg-rule/40">
              <span
                v-if="waitBefore(id)"
                class="absolute inset-y-0 rounded-l bg-[repeating-linear-gradient(135deg,var(--color-care)_0_2px,transparent_2px_6px)]"
                :style="{
                  left: `${share(shown.starts[i]! - waitBefore(id)!.seconds)}%`,
                  width: `${share(waitBefore(id)!.seconds)}%`,
                }"
                v-tip="`waits ${Math.round(waitBefore(id)!.seconds)} s`"
              /><span
                class="absolute inset-y-0 rounded bg-mulberry/80"
                :style="{
                  left: `${share(shown.starts[i]!)}%`,
                  width: `max(3px, ${share(shown.ends[i]! - shown.starts[i]!)}%)`,
                }"
              />
            </span>
            <span class="w-11 shrink-0 text-right text-soft tabular-nums">{{ clock(shown.starts[i]!) }}</span>
          </li>
        </ol>
        <p class="mt-1 text-[0.8rem] text-soft">Hatched: the hands wait until something is dry.</p>
      </section>
      <aside class="space-y-3" data-testid="plan-told">
        <p class="font-display text-2xl leading-tight font-semibold">
          <template v-if="saved >= 1">{{ clock(saved) }} min less <EstimateMark /></template>
          <template v-else-if="late">In time for what must be wet <EstimateMark /></template>
          <template v-else>As short as it can be <EstimateMark /></template>
        </p>
        <p class="text-soft">
          {{ clock(plan.entered.finish) }} as entered, drying included, {{ clock(plan.planned.finish) }} in
          the planned order.
          {{
            plan.proven
              ? 'No order is shorter.'
              : `The best that was found; none can be shorter than ${clock(plan.bound)}.`
          }}
        </p>
        <ul class="space-y-1.5 text-[0.95rem] leading-snug">
          <li v-for="s in plan.why" :key="s" class="border-l-2 border-rule pl-2">{{ s }}</li>
        </ul>
        <button v-if="saved >= 1 || late" class="btn-main w-full" :disabled="old" @click="take">
          Take this order
        </button>
        <p class="text-[0.87rem] leading-snug text-soft">
          The order stays yours until you take it; undo brings it back. A lock keeps a step behind all that
          comes before it now, and before all that comes after.
        </p>
      </aside>
    </div>
  </div>
</template>
