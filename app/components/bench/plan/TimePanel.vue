<script setup lang="ts">
import { Pause, Play } from '@lucide/vue'
import { useRafFn } from '@vueuse/core'
import { VueDraggable } from 'vue-draggable-plus'
import { againstOrder, orderSteps, plannedOrder, stepsOff, type OrderConflict, type Span } from '#core/look'
import type { Planned } from '~/workers/planned'

/** The look in time: what the hands do, what dries where, and the face as it grows with the clock. */
const session = useSession()
const painter = usePainter()
const kit = useKit()
const found = shallowRef<Planned | null>(null)
const failed = ref<string[]>([])
const which = ref<'entered' | 'planned'>('entered')
const { old, ask, answer } = useAsked()
const work = newestOnly(async (question: number) => {
  try {
    const plan: Planned | OrderConflict = await painter.plan(session.look!)
    failed.value = 'planned' in plan ? [] : [...plan.sentences]
    found.value = 'planned' in plan ? plan : null
    answer(question)
  } catch (error) {
    if (!(error instanceof GivenUp)) failed.value = sentencesOf(error)
  }
})
watch([() => session.look?.steps, () => kit.readings], () => work(ask()), { immediate: true })
const rows = computed(() => found.value?.rows[which.value] ?? null)
const finish = computed(() => Math.max(1, found.value?.[which.value].finish ?? 1))
const share = (seconds: number) => (100 * seconds) / finish.value
const label = (id: string) => session.look!.steps.find(s => s.id === id)?.label ?? ''
const place = (span: { from: number; to: number }) => ({
  left: `${share(span.from)}%`,
  width: `${share(Math.min(finish.value, span.to) - span.from)}%`,
})
/** Spans of a row that lie over one another get lines of their own. */
function lines<S extends Span>(spans: readonly S[]): S[][] {
  const all: S[][] = []
  for (const span of [...spans].sort((a, b) => a.from - b.from)) {
    const line = all.find(l => l.at(-1)!.to <= span.from)
    if (line) line.push(span)
    else all.push([span])
  }
  return all
}

/** The bars of the hands, to be dragged: what cannot come there goes back, with the reason. */
const refused = ref('')
const bars = computed({
  get: () =>
    (rows.value?.hands ?? []).map((span, i, all) => ({
      ...span,
      id: span.stepId,
      wait: span.from - (i ? all[i - 1]!.to : 0),
    })),
  set: next => {
    const order = next.map(b => b.id)
    const against = againstOrder(order, found.value!.rules)
    refused.value = against ?? ''
    if (against) return void (found.value = { ...found.value! })
    // The order that was shown is what is changed: a planned one is taken with it.
    const off = stepsOff(session.look!)
    const command = off.size ? plannedOrder(order) : orderSteps(order)
    if (session.edit('reorder', command)) which.value = 'entered'
  },
})

/** The clock, s of the sitting; and how many times as fast it goes. */
const now = ref(0)
const speed = ref(20)
const SPEEDS = [1, 5, 20, 60] as const
const { pause, resume, isActive } = useRafFn(
  ({ delta }) => {
    now.value = Math.min(finish.value, now.value + (speed.value * delta) / 1000)
    if (now.value >= finish.value) pause()
  },
  { immediate: false },
)
function play(): void {
  if (isActive.value) return pause()
  if (now.value >= finish.value) now.value = 0
  resume()
}
watch(which, () => {
  now.value = 0
})
/** As many steps are done by now. */
const done = computed(() => rows.value?.hands.filter(s => s.to <= now.value + 1e-6).length ?? 0)
const inHand = computed(() => rows.value?.hands.find(s => s.from <= now.value && now.value < s.to))

/** Pictures after each step of the order that is shown. */
const pictures = shallowRef<Map<string, string>>(new Map())
const order = computed(() => found.value?.[which.value].order ?? [])
const keyOf = (count: number) => order.value.slice(0, count).join()
const PX = 1.3
const paint = newestOnly(async () => {
  const ids = order.value
  const steps = ids.flatMap(id => session.look!.steps.find(s => s.id === id) ?? [])
  for (let n = 0; n <= ids.length; n++) {
    if (order.value !== ids) return
    const key = keyOf(n)
    if (pictures.value.has(key)) continue
    try {
      const picture = await painter.paint({ ...session.look!, shorter: undefined, steps }, PX, n)
      pictures.value = new Map(pictures.value).set(key, canvasOf(picture).toDataURL())
    } catch (error) {
      if (!(error instanceof GivenUp)) failed.value = sentencesOf(error)
      return
    }
  }
})
watch(
  order,
  () => {
    pictures.value = new Map()
    paint()
  },
  { immediate: true },
)
const shown = computed(() => pictures.value.get(keyOf(done.value)))
const scrub = (event: Event) => {
  pause()
  now.value = (event.target as HTMLInputElement).valueAsNumber
}
</script>

<template>
  <div class="min-h-64">
    <p v-for="s in failed" :key="s" role="alert" class="mb-2 text-stop">{{ s }}</p>
    <WaitBar v-if="!found && !failed.length" words="Laying the steps in time…" @stop="painter.stop" />
    <p v-if="old && rows" role="status" class="mb-2 text-soft">
      Of before the last change; being worked out anew…
    </p>
    <div
      v-if="rows"
      class="grid grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_210px] gap-5"
      :class="old && 'pointer-events-none opacity-50'"
      :aria-busy="old"
    >
      <section aria-label="The look in time" class="min-w-0">
        <div class="mb-2 flex flex-wrap items-center gap-1.5">
          <button class="btn-main" @click="play">
            <component :is="isActive ? Pause : Play" :size="15" />{{ isActive ? 'Pause' : 'Play' }}
          </button>
          <span role="group" aria-label="How fast" class="flex gap-1"
            ><button v-for="s in SPEEDS" :key="s" class="chip" :aria-pressed="speed === s" @click="speed = s">
              {{ s }}×
            </button></span
          ><span role="group" aria-label="Which order" class="ml-auto flex gap-1">
            <button class="chip" :aria-pressed="which === 'entered'" @click="which = 'entered'">
              as entered, {{ clock(found!.entered.finish) }}</button
            ><button class="chip" :aria-pressed="which === 'planned'" @click="which = 'planned'">
              planned, {{ clock(found!.planned.finish) }}
            </button></span
          >
        </div>
        <div class="max-h-[50vh] overflow-y-auto pr-1" data-testid="time-rows">
          <div class="time-row items-stretch">
            <span class="time-name font-semibold">hands</span>
            <div
              class="relative h-11 min-w-0 flex-1 rounded bg-[repeating-linear-gradient(135deg,var(--color-care)_0_2px,transparent_2px_7px)]"
            >
              <VueDraggable
                v-model="bars"
                class="flex h-full"
                :animation="120"
                role="list"
                aria-label="Steps as the hands do them"
              >
                <button
                  v-for="b in bars"
                  :key="b.id"
                  class="h-full min-w-0 shrink-0 cursor-grab overflow-hidden rounded border border-card bg-mulberry px-1 text-left text-xs leading-[0.85rem] text-on"
                  role="listitem"
                  :class="b.stepId === inHand?.stepId && 'bg-mulberry-deep!'"
                  :style="{ width: `${share(b.to - b.from)}%`, marginLeft: `${share(b.wait)}%` }"
                  v-tip="
                    `${label(b.stepId)}, ${clock(b.from)} to ${clock(b.to)}${b.wait >= 1 ? `, after ${Math.round(b.wait)} s of waiting` : ''}`
                  "
                  :data-bar="b.id"
                >
                  {{ label(b.stepId) }}
                </button>
              </VueDraggable>
              <i class="time-now" :style="{ left: `${share(now)}%` }" />
            </div>
          </div>
          <div v-if="rows.eyes.length" class="time-row">
            <span class="time-name">eyes shut</span>
            <div class="relative h-3 flex-1 rounded bg-rule/40">
              <span
                v-for="s in rows.eyes"
                :key="s.stepId"
                class="absolute inset-y-0 rounded bg-ink"
                :style="place(s)"
                v-tip="`${label(s.stepId)}: eyes shut`"
              />
              <i class="time-now" :style="{ left: `${share(now)}%` }" />
            </div>
          </div>
          <div v-if="rows.windows.length" class="time-row">
            <span class="time-name">wet enough</span>
            <div
              class="relative flex-1 rounded bg-rule/40"
              :style="{ height: `${12 * lines(rows.windows).length}px` }"
            >
              <template v-for="(line, i) in lines(rows.windows)" :key="i">
                <span
                  v-for="s in line"
                  :key="s.stepId"
                  class="absolute h-2.5 rounded border border-go bg-go/35"
                  :style="{ ...place(s), top: `${12 * i}px` }"
                  v-tip="`for ${label(s.stepId)}: ${clock(s.from)} to ${clock(s.to)}`"
                />
              </template>
              <i class="time-now" :style="{ left: `${share(now)}%` }" />
            </div>
          </div>
          <div v-for="z in rows.zones" :key="z.words" class="time-row">
            <span class="time-name truncate" v-tip="z.words">{{ z.words }}</span>
            <div
              class="relative flex-1 rounded bg-rule/40"
              :style="{ height: `${12 * lines(z.films).length}px` }"
            >
              <template v-for="(line, i) in lines(z.films)" :key="i">
                <template v-for="s in line" :key="s.stepId">
                  <span
                    class="absolute h-2.5 rounded bg-care/35"
                    :style="{ ...place(s), top: `${12 * i}px` }"
                    v-tip="`${label(s.stepId)}: wet until ${clock(s.wetUntil)}, dry at ${clock(s.to)}`"
                  /><span
                    class="pointer-events-none absolute h-2.5 rounded-l bg-care/80"
                    :style="{ ...place({ from: s.from, to: s.wetUntil }), top: `${12 * i}px` }"
                  />
                </template>
              </template>
              <i class="time-now" :style="{ left: `${share(now)}%` }" />
            </div>
          </div>
        </div>
        <div class="time-row">
          <span class="time-name tabular-nums">{{ clock(now) }}</span><input
            class="min-w-0 flex-1 accent-mulberry"
            type="range"
            min="0"
            :max="finish"
            step="0.5"
            :value="now"
            aria-label="Time of the sitting"
            @input="scrub"
          />
        </div>
        <p v-if="refused" role="alert" class="mt-1 text-stop">{{ refused }}</p>
        <p class="mt-1 text-[0.8rem] text-soft">
          Hatched: the hands wait. Dark: wet; light: tacky, then dry. A step is dragged to another place where
          nothing speaks against it; undo brings it back. <EstimateMark />
        </p>
      </section>
      <aside class="text-center">
        <img
          v-if="shown"
          :src="shown"
          :alt="`The face after ${done} steps`"
          class="w-full rounded-xl border border-rule"
          data-testid="time-face"
          :data-done="done"
        />
        <div v-else class="aspect-[3/4] rounded-xl bg-stage" />
        <p class="mt-1 leading-snug">
          <strong v-if="inHand">{{ label(inHand.stepId) }}</strong><span v-else class="text-soft">{{
            now >= finish ? 'done' : 'waiting'
          }}</span>
        </p>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.time-row {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  padding-block: 3px;
}
.time-name {
  width: 7rem;
  flex-shrink: 0;
  font-size: 0.8rem;
}
.time-now {
  position: absolute;
  inset-block: -4px;
  width: 2px;
  background: var(--color-ink);
  pointer-events: none;
}
</style>
