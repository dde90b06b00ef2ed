<script setup lang="ts">
import { CircleAlert, ListChecks, Play } from '@lucide/vue'
import { finishOf, type Length } from '#core/chair'
import type { Finding, Forgotten, Habits } from '#core/checks'
import { waysFor, type OrderPlan, type Shortened, type Timeline } from '#core/look'

/** Before somebody sits down: what is asked, what may have been forgotten, and how long the look may take. */
const chair = useChair()
const painter = usePainter()
const ways = useWays()
const places = usePlaces()
const look = computed(() => chair.look!)
const ticket = ref(look.value.sitting.ticket)

const entered = computed(() => chair.painted.map(s => s.id))
const timeOf = computed(() => new Map(chair.screens.map(s => [s.id, s.planned])))
interface Choice {
  readonly id: 'entered' | 'planned' | 'three' | 'ten' | 'least' | 'least planned'
  readonly length: Length
  readonly order: readonly string[]
  readonly seconds: number
}
const WORDS_OF: Readonly<Record<Choice['id'], string>> = {
  'entered': 'All of it, as entered',
  'planned': 'All of it, planned order',
  'three': 'Three waiting',
  'ten': 'Ten waiting',
  'least': 'Only what must be, as entered',
  'least planned': 'Only what must be, planned order',
}
const plan = shallowRef<OrderPlan | null>(null)
const short = shallowRef<{ three: Shortened | null; ten: Shortened | null }>({ three: null, ten: null })
const optional = computed(() => new Set(chair.painted.filter(s => s.optional).map(s => s.id)))
const least = shallowRef<OrderPlan | null>(null)
const inTime = (id: Choice['id'], length: Length, { order, finish }: Timeline): Choice => ({
  id,
  length,
  order,
  seconds: finish,
})
/** The planned order of something, where it saves a second. */
const ifSaves = (id: Choice['id'], length: Length, found: OrderPlan | null): Choice[] =>
  found && found.entered.finish - found.planned.finish >= 1 ? [inTime(id, length, found.planned)] : []
const choices = computed<Choice[]>(() => {
  if (!chair.known) return []
  const { three, ten } = short.value
  const seconds = finishOf(entered.value, id => timeOf.value.get(id) ?? 0, chair.gates)
  return [
    { id: 'entered', length: 'whole', order: entered.value, seconds },
    ...ifSaves('planned', 'whole', plan.value),
    ...(three?.without.length ? [inTime('three', 'three waiting', three.timeline)] : []),
    ...(ten?.without.length ? [inTime('ten', 'ten waiting', ten.timeline)] : []),
    ...(least.value ? [inTime('least', 'shorter', least.value.entered)] : []),
    ...ifSaves('least planned', 'shorter', least.value),
  ]
})
/** What a choice brings against all of it as entered: the time that it saves, and what it leaves out. */
function brings({ order, seconds }: Choice): string {
  const saved = (choices.value[0]?.seconds ?? 0) - seconds
  const left = chair.screens.filter(s => !order.includes(s.id)).map(s => s.label)
  return [saved >= 1 && `saves ${clock(saved)}`, left.length && `leaves out ${left.join(', ')}`]
    .filter(Boolean)
    .join('; ')
}
/** Why there is nothing shorter to choose when others wait. */
const nothingShorter = computed(() => {
  if (!plan.value) return ''
  if (!optional.value.size) return 'No step may be left out, so a queue makes it no shorter.'
  const fits = (found: Shortened | null) => found?.without.length === 0
  const { three, ten } = short.value
  if (fits(ten)) return 'Nothing has to go, even with ten waiting: all of it fits.'
  return fits(three) ? 'Nothing has to go with three waiting: all of it fits.' : ''
})
/** By its id: more choices come while one is made. */
const chosen = ref<Choice['id']>('entered')
const choice = computed(() => choices.value.find(c => c.id === chosen.value) ?? choices.value[0])
const findings = shallowRef<readonly Finding[]>([])
const forgotten = shallowRef<readonly Forgotten[] | null>(null)
const stops = computed(() => findings.value.filter(f => f.level === 'problem' || f.stepId === null))
const QUESTIONS = ['allergies', 'skin', 'eyes', 'lips'] as const
const open = computed(() => QUESTIONS.filter(q => look.value.sitting[q] === 'not asked'))
const WORDS = {
  allergies: 'Any allergies?',
  skin: 'Is the skin sound there?',
  eyes: 'Near the eyes?',
  lips: 'Lips?',
}
const asked = ref<string[]>([])
const tell = (id: string | null) => chair.painted.findIndex(s => s.id === id) + 1

/** The page is shown before anything else is worked out, ms. */
const REST_MS = 250
/** What is worked out beside the first look: the page is of use without it. */
async function work(): Promise<void> {
  const { queue } = look.value
  const habits = await $fetch<Habits>('/api/looks/habits', { query: { but: look.value.id } }).catch(
    () => null,
  )
  try {
    forgotten.value = await painter.forgotten(look.value, habits)
    const found = await painter.plan(look.value)
    plan.value = 'planned' in found ? found : null
    if (optional.value.size) {
      const told = await painter.shortened(look.value, queue ? [queue.three, queue.ten] : [], 0)
      short.value = { three: told.within[0] ?? null, ten: told.within[1] ?? null }
      least.value = told.least?.entered.order.length ? told.least : null
    }
    await ways.load().catch(() => {})
    const own = waysFor(look.value.ways, ways.house)
    const today = new Date().toISOString().slice(0, 10)
    const told = await painter.findings(look.value, today, [], own)
    if (told) findings.value = told.findings
  } catch (error) {
    if (!(error instanceof GivenUp)) chair.problems = [...chair.problems, ...sentencesOf(error)]
  }
}
watch(
  () => chair.known !== null,
  known => {
    if (!known) return
    // The first picture is there before it is asked for.
    places.ask(1)
    setTimeout(() => void work(), REST_MS)
  },
  { immediate: true },
)
function begin(): void {
  const taken = choice.value ?? { order: entered.value, length: 'whole' as const }
  chair.begin(taken.order, taken.length, ticket.value.trim().slice(0, 20))
}
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col" data-testid="chair-before">
    <div class="min-h-0 flex-1 overflow-y-auto">
      <!-- Columns as tall as they need: those of a height would go on sideways. -->
      <div class="space-y-4 p-4 md:columns-2 md:gap-6 md:space-y-6">
        <header class="flex items-center gap-3 break-inside-avoid">
          <img
            :src="`/api/looks/${look.id}/card.png`"
            :alt="`${look.name}, painted`"
            class="h-28 w-24 rounded-xl bg-stage object-cover"
          />
          <div class="min-w-0">
            <h1 class="font-display text-2xl leading-tight font-bold">{{ look.name }}</h1>
            <p class="chair-soft">
              {{ chair.painted.length }} steps<template v-if="chair.worn">, for this person only</template>
            </p>
            <label class="mt-1 flex items-center gap-2"
              >ticket<input
                v-model="ticket"
                class="chair-field w-24"
                maxlength="20"
                inputmode="numeric"
                placeholder="no name"
                aria-label="Ticket number, no name"
            /></label>
          </div>
        </header>
        <section class="min-h-40 break-inside-avoid" aria-label="How much of it">
          <div class="grid gap-1.5" role="radiogroup" aria-label="How much of it">
            <button
              v-for="c in choices"
              :key="c.id"
              role="radio"
              :aria-checked="c === choice"
              class="flex min-h-13 items-center gap-3 rounded-xl border-2 bg-card px-3 text-left"
              :class="c === choice ? 'border-mulberry' : 'border-rule'"
              @click="chosen = c.id"
            >
              <span class="min-w-0 flex-1 py-1"
                ><span class="font-semibold">{{ WORDS_OF[c.id] }}</span
                ><span v-if="brings(c)" class="chair-soft block leading-snug">{{ brings(c) }}</span></span
              ><span class="chair-soft">{{ c.order.length }} steps</span
              ><strong class="font-display text-xl tabular-nums">{{ clock(c.seconds) }}</strong>
            </button>
          </div>
          <p class="chair-soft mt-1">
            With drying in this room. <EstimateMark /> {{ nothingShorter }}
            <template v-if="!look.queue && optional.size">
              On the bench, "Order" says what it may take when others wait.</template
            >
          </p>
        </section>
        <section
          v-if="stops.length"
          class="break-inside-avoid rounded-xl border-2 border-stop bg-card p-3"
          aria-label="First of all"
        >
          <p v-for="f in stops" :key="`${f.stepId} ${f.title}`" class="flex gap-2 leading-snug">
            <CircleAlert :size="20" class="mt-0.5 shrink-0 text-stop" />
            <span
              ><strong>{{ tell(f.stepId) ? `Step ${tell(f.stepId)}: ` : '' }}{{ f.title }}.</strong>
              {{ f.why }}</span
            >
          </p>
        </section>
        <ForThisPerson />
        <section v-if="open.length" class="break-inside-avoid" aria-label="Ask first">
          <h2 class="font-display text-lg font-semibold">Ask first</h2>
          <label v-for="q in open" :key="q" class="flex min-h-11 items-center gap-3"
            ><input v-model="asked" type="checkbox" class="size-6 accent-mulberry" :value="q" />{{
              WORDS[q]
            }}</label
          >
          <label class="flex min-h-11 items-center gap-3"
            ><input v-model="asked" type="checkbox" class="size-6 accent-mulberry" value="patch" />A test
            patch offered</label
          >
        </section>
        <section class="break-inside-avoid" aria-label="Forgotten?" data-testid="forgotten">
          <h2 class="flex items-center gap-2 font-display text-lg font-semibold">
            <ListChecks :size="20" />Anything forgotten?
          </h2>
          <ul v-if="forgotten?.length" class="space-y-1.5">
            <li v-for="f in forgotten" :key="f.text" class="border-l-3 border-care pl-2 leading-snug">
              {{ f.text }}
            </li>
          </ul>
          <p v-else-if="forgotten" class="chair-soft">Nothing that can be seen from the look.</p>
        </section>
        <p class="chair-soft break-inside-avoid leading-snug">
          One clean sponge for one person; washed and disinfected stencils. No paint on broken or sore skin,
          or on anyone who is ill. Local rules, the product's label and the insurer come first.
        </p>
      </div>
    </div>
    <div class="shrink-0 border-t border-rule p-3">
      <button
        class="chair-main w-full"
        data-testid="begin"
        :disabled="!chair.known || !chair.painted.length"
        @click="begin"
      >
        <Play :size="26" />Begin
      </button>
    </div>
  </div>
</template>
