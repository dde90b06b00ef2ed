<script setup lang="ts">
import { nanoid } from 'nanoid'
import { leaveOut, type Shortened } from '#core/look'

/** What the look is when there is less time: what goes, what that saves, and how the face looks without it. */
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const painter = usePainter()
const kit = useKit()
const failed = ref<string[]>([])
const curve = shallowRef<Shortened[]>([])
const least = ref<number | null>(null)
const ready = ref(false)
/** As many points of the curve are worked out. */
const POINTS = 14
const optional = computed(() => session.look!.steps.filter(s => s.optional))
const whole = computed(() => curve.value[0] ?? null)
/** The lengths of the queue, with the share of the whole time that is there when nobody said (common practice). */
const QUEUES = [
  { key: 'three', words: 'three waiting', share: 0.72 },
  { key: 'ten', words: 'ten waiting', share: 0.5 },
] as const
type Queue = (typeof QUEUES)[number]['key']
const now = ref<Queue>('three')
const secondsFor = (key: Queue): number => {
  const kept = session.look!.queue?.[key]
  const { share } = QUEUES.find(q => q.key === key)!
  return kept ?? Math.max(10, Math.round(((whole.value?.timeline.finish ?? 60) * share) / 5) * 5)
}
const answers = shallowRef<Partial<Record<Queue, Shortened | null>>>({})
const chosen = computed(() => answers.value[now.value] ?? null)
const { old, ask, answer } = useAsked()
const work = newestOnly(async (question: number) => {
  try {
    const first = whole.value ? null : await painter.shortened(session.look!, [], POINTS)
    if (first) {
      curve.value = first.curve
      least.value = first.least?.planned.finish ?? null
    }
    const told = await painter.shortened(
      session.look!,
      QUEUES.map(q => secondsFor(q.key)),
      0,
    )
    answers.value = Object.fromEntries(QUEUES.map((q, i) => [q.key, told.within[i]]))
    ready.value = true
    answer(question)
  } catch (error) {
    if (!(error instanceof GivenUp)) failed.value = sentencesOf(error)
  }
})
watch(
  () => [session.look?.steps, session.look?.queue, kit.readings] as const,
  ([steps, , readings], before) => {
    if (!before || steps !== before[0] || readings !== before[2]) curve.value = []
    work(ask())
  },
  { immediate: true },
)
function put(key: Queue, event: Event): void {
  const box = event.target as HTMLInputElement
  const seconds = secondsIn(box.value)
  if (seconds === null || seconds < 10 || seconds > 7200) {
    box.value = clock(secondsFor(key))
    failed.value = ['Give minutes and seconds, such as 4:20, from 0:10 to 120:00.']
    return
  }
  failed.value = []
  now.value = key
  session.edit('time with a queue', d => {
    d.queue = {
      three: secondsFor('three'),
      ten: secondsFor('ten'),
      [key]: seconds,
    }
  })
}
const label = (id: string) => session.look!.steps.find(s => s.id === id)?.label ?? ''
const saves = computed(() =>
  whole.value && chosen.value ? whole.value.timeline.finish - chosen.value.timeline.finish : 0,
)
/** The face with all of it, and with what is left. */
const pictures = shallowRef<{ of: Shortened | null; all: string; less: string } | null>(null)
const paint = newestOnly(async () => {
  const found = chosen.value
  if (!found) return
  try {
    const without = new Set(found.without)
    const full = await painter.paint(session.look!, PX)
    const less = await painter.paint(
      { ...session.look!, steps: session.look!.steps.filter(s => !without.has(s.id)) },
      PX,
    )
    pictures.value = { of: found, all: canvasOf(full).toDataURL(), less: canvasOf(less).toDataURL() }
  } catch (error) {
    if (!(error instanceof GivenUp)) failed.value = sentencesOf(error)
  }
})
const PX = 1.4
watch(chosen, () => paint())
const marks = computed<{ words: string; seconds: number }[]>(() => [
  ...QUEUES.map(q => ({ words: q.words, seconds: secondsFor(q.key) })),
  ...(whole.value ? [{ words: 'alone', seconds: whole.value.timeline.finish }] : []),
])
function keep(): void {
  const found = chosen.value
  if (!found?.without.length) return
  const name = `for ${clock(secondsFor(now.value))}`
  if (session.edit(`shorter, ${name}`, leaveOut(found.without, nanoid(10), `all but ${name}`))) emit('close')
}
</script>

<template>
  <div class="min-h-64">
    <p v-for="s in failed" :key="s" role="alert" class="mb-2 text-stop">{{ s }}</p>
    <p v-if="!optional.length" class="mb-2 rounded-xl border border-dashed border-rule p-3 text-soft">
      No step of this look may go yet. Mark those that can on their card ("Optional"), and say with the stars
      what they are worth: second outlines, lights, lashes, stitches, extra dots, lip colour.
    </p>
    <WaitBar v-if="!ready && !failed.length" words="Working out what can go…" @stop="emit('close')" />
    <div
      v-else
      class="grid grid-cols-[minmax(0,1fr)] lg:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)] gap-5"
      :aria-busy="old"
    >
      <section class="space-y-3" aria-label="Time and worth">
        <div class="flex flex-wrap items-end gap-2">
          <p class="text-[0.95rem]">
            <span class="block text-[0.8rem] text-soft">alone</span
            ><strong class="tabular-nums">{{ whole ? clock(whole.timeline.finish) : '–' }}</strong>
          </p>
          <label v-for="q in QUEUES" :key="q.key" class="block text-[0.8rem] text-soft"
            ><span class="block">{{ q.words }}</span
            ><input
              class="field w-24! tabular-nums"
              :value="clock(secondsFor(q.key))"
              :aria-label="`Time with ${q.words}`"
              @change="put(q.key, $event)"
          /></label>
          <EstimateMark />
        </div>
        <LazyWorthChart
          v-if="curve.length"
          :points="curve.map(c => ({ seconds: c.timeline.finish, worth: c.worth }))"
          :marks="marks"
        />
        <p class="text-[0.87rem] text-soft">
          Worth is the stars of the optional steps that are left. What must be done takes
          {{ least === null ? '–' : clock(least) }} at least.
        </p>
      </section>
      <section class="space-y-2" aria-label="What goes" data-testid="queue-told">
        <div class="flex gap-1" role="group" aria-label="How many wait">
          <button
            v-for="q in QUEUES"
            :key="q.key"
            class="chip"
            :aria-pressed="now === q.key"
            @click="now = q.key"
          >
            {{ q.words }}, {{ clock(secondsFor(q.key)) }}
          </button>
        </div>
        <p v-if="old" role="status" class="text-[0.87rem] text-soft">
          Of before the last change; being worked out anew…
        </p>
        <div v-if="chosen" class="space-y-2" :class="old && 'opacity-50'">
          <p v-if="chosen.without.length" class="leading-snug">
            <strong>Goes:</strong> {{ chosen.without.map(label).join(', ') }}.
            <strong>{{ clock(saves) }}</strong> less, {{ clock(chosen.timeline.finish) }} in all, in the
            shortest order of what is left.
          </p>
          <p v-else>Nothing has to go: all of it is done in {{ clock(chosen.timeline.finish) }}.</p>
          <p v-if="!chosen.proven" class="text-[0.87rem] text-soft">The best that was found in the time.</p>
          <div v-if="pictures && chosen.without.length" class="grid grid-cols-2 gap-2">
            <figure>
              <img :src="pictures.all" alt="All of the look" class="w-full rounded-lg border border-rule" />
              <figcaption class="text-[0.8rem] text-soft">all of it</figcaption>
            </figure>
            <figure>
              <img
                :src="pictures.less"
                alt="The look without what goes"
                class="w-full rounded-lg border border-rule"
              />
              <figcaption class="text-[0.8rem] text-soft">without what goes</figcaption>
            </figure>
          </div>
          <button v-if="chosen.without.length" class="btn-main w-full" :disabled="old" @click="keep">
            Keep it as a variant
          </button>
        </div>
        <p v-else class="text-care">
          Not even what must be done can be painted in {{ clock(secondsFor(now)) }}: it takes
          {{ least === null ? 'longer' : clock(least) }}. Give it more time, or mark more steps as optional.
        </p>
      </section>
    </div>
  </div>
</template>
