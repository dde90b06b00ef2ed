<script setup lang="ts">
import { ArrowLeft, Printer } from '@lucide/vue'
import {
  ageOf,
  groundFor,
  hostsIn,
  kindOf,
  sheetsOf,
  stepsOff,
  timesOf,
  paintsOf,
  type World,
  effortsOf,
  cardLines,
  waysFor,
} from '#core/look'
import { ownTools } from '#core/paint'
import { canvasWords } from '#core/skin'
import type { LookRecord } from '~~/server/db/looks'

const id = String(useRoute().params.id)
const drawer = useDrawer()
const kit = useKit()
const settings = useSettings()
const painter = usePainter()
const waysOf = useWays()
const record = shallowRef<LookRecord | null>(null)
const failed = ref<string[]>([])
const thumbs = shallowRef<string[]>([])
const picture = ref('')
const look = computed(() => record.value?.look)
const world = computed<World>(() => ({
  ground: groundFor(look.value!, pageMemo),
  oily: look.value!.skin.oily,
  memo: pageMemo,
  stencil: s => drawer.shapes.get(s),
  paint: p => kit.find(p),
  ...hostsIn(look.value!.steps),
  off: stepsOff(look.value!),
  ...ownTools(kit.readings),
  finger: settings.finger,
}))
/** How long it takes, drying included: the same numbers as everywhere. */
const times = computed(() => timesOf(look.value!, world.value))
const waits = computed(() => new Map(times.value.waits.map(w => [w.before, w])))
const efforts = computed(() => effortsOf(look.value!.steps, world.value))
const rows = computed(
  () =>
    look.value?.steps
      .filter(s => !world.value.off?.has(s.id))
      .map(step => ({
        wait: Math.round(waits.value.get(step.id)?.seconds ?? 0),
        step,
        words: kindOf(step).words,
        lines: cardLines(step, world.value),
        effort: efforts.value.get(step.id)!,
      })) ?? [],
)
/**
 * Long lists get closer rows; the letters stay readable at arm's length, so that a very long one takes a
 * second page.
 */
const size = computed(() => (rows.value.length > 7 ? 'dense tight' : rows.value.length > 5 ? 'dense' : ''))
/** What was asked and answered, as it stands on the sheet. */
const asked = computed(() => {
  const { ticket, allergies, skin, eyes, lips, patch } = look.value!.sitting
  const said = [
    ['allergies', allergies],
    ['skin there', skin],
    ['near the eyes', eyes],
    ['lips', lips],
  ] as const
  const open = said.filter(([, v]) => v === 'not asked').map(([words]) => words)
  return [
    ...(ticket ? [`ticket ${ticket}`] : []),
    `${ageOf(look.value!)} years`,
    ...said.filter(([, v]) => v !== 'not asked').map(([words, v]) => `${words}: ${v}`),
    `test patch: ${patch}`,
    ...(open.length ? [`not asked yet: ${open.join(', ')}`] : []),
  ].join('; ')
})

try {
  ;[record.value] = await Promise.all([
    $fetch<LookRecord>(`/api/looks/${id}`),
    drawer.load(),
    kit.load(),
    waysOf.load(),
  ])
  await drawer.ensure(sheetsOf(record.value!.look))
} catch (error) {
  failed.value = sentencesOf(error)
}
useHead({ title: () => (look.value ? `${look.value.name}, step list` : 'Step list') })
onMounted(async () => {
  if (!look.value) return
  const pictures = (await painter.thumbs(look.value, 1, null))?.pictures ?? []
  const { steps } = look.value
  const shown = pictures.filter((_, i) => i === 0 || !world.value.off?.has(steps[i - 1]!.id))
  thumbs.value = shown.map(p => canvasOf(p).toDataURL())
  picture.value = canvasOf(await painter.paint(look.value, 2)).toDataURL()
})
const print = () => window.print()
/** The card in words, for paper. */
const text = computed<CardText>(() => ({
  name: look.value!.name,
  about: about.value,
  asked: `Asked: ${asked.value}.`,
  notes: look.value!.notes,
  cautions: [...cautions, always.value],
  steps: rows.value.map(({ step, words, lines, effort, wait }) => ({
    title: step.label || words,
    words,
    optional: step.optional,
    wait,
    time: `~${clock(effort.seconds)}, ${effort.loads} ${effort.loads === 1 ? 'load' : 'loads'}`,
    swatches: paintsOf(step).map(p => kit.find(p.id)?.colour ?? p.colour),
    lines,
  })),
}))
const about = computed(
  () =>
    `${canvasWords(look.value!.canvas)}, ${look.value!.skin.age} years; ${rows.value.length} ${rows.value.length === 1 ? 'step' : 'steps'}, about ${clock(times.value.finish)} min, ${clock(times.value.waiting)} of it waiting for paint to dry (estimate)${look.value!.budget === null ? '' : `, ${clock(look.value!.budget)} min there`}`,
)
const steps = computed(() => rows.value.map(r => r.step))
/** The face, and the face after each step; empty until they are painted. */
const pictures = computed(() => (picture.value ? [picture.value, ...thumbs.value.slice(1)] : []))
const CLEANED = { wetBrush: 'a wet brush', wipe: 'a damp wipe' } as const
const SPARKLE = {
  lifting: 'before the stencil is lifted',
  wet: 'while the base is wet',
  last: 'as gel at the end',
} as const
/** What the painter always does alike, by the own way of working. */
const always = computed(() => {
  const { clean, glitter } = waysFor(look.value?.ways, waysOf.house)
  return `Clean edges with ${CLEANED[clean]}; glitter goes on ${SPARKLE[glitter]}.`
})
const cautions = [
  'Ask for allergies and offer a test patch. No paint on broken or sore skin, or on anyone who is ill.',
  'Eyes closed while a lid is worked, and about ten seconds after.',
  'One clean sponge for one person; wash and disinfect stencils between people.',
  "Local rules, the product's label and the insurer come before anything on this page.",
]
</script>

<template>
  <main class="mx-auto max-w-[188mm] p-4 print:max-w-none print:p-0">
    <nav class="no-print mb-4 flex flex-wrap items-center justify-between gap-2">
      <NuxtLink :to="`/looks/${id}`" class="btn"><ArrowLeft :size="16" />Back to the bench</NuxtLink>
      <span class="flex flex-wrap gap-2">
        <PdfMenu v-if="look" :look="look" :steps="steps" :world="world" :text="text" :pictures="pictures" />
        <button class="btn-main" :disabled="!picture" @click="print">
          <Printer :size="16" />Print on A4
        </button>
      </span>
    </nav>
    <div v-if="failed.length" role="alert" class="rounded-xl border border-stop p-4">
      <p v-for="s in failed" :key="s">{{ s }}</p>
    </div>
    <article v-if="look" class="print-sheet" :class="size">
      <header class="flex items-start gap-4 border-b-2 max-sm:flex-wrap border-ink pb-2">
        <img
          v-if="picture"
          :src="picture"
          :alt="`${look.name}, painted`"
          class="face rounded-lg object-cover"
        />
        <div class="min-w-0 flex-1">
          <h1 class="font-display text-3xl leading-tight font-bold">{{ look.name }}</h1>
          <p>
            {{ canvasWords(look.canvas) }}, {{ look.skin.age }} years; {{ rows.length }}
            {{ rows.length === 1 ? 'step' : 'steps' }}, about
            <span data-testid="time">{{ clock(times.finish) }}</span> min, {{ clock(times.waiting) }} of it
            waiting for paint to dry <EstimateMark /><span v-if="look.budget !== null"
              >, {{ clock(look.budget) }} min there</span
            >
          </p>
          <p class="mt-1" data-testid="asked"><strong>Asked</strong> {{ asked }}.</p>
          <p v-if="look.notes" class="mt-1">{{ look.notes }}</p>
          <ul class="mt-1.5 list-disc pl-4 leading-snug text-soft">
            <li v-for="c in cautions" :key="c">{{ c }}</li>
            <li>{{ always }}</li>
          </ul>
        </div>
      </header>
      <ol class="rows">
        <li
          v-for="({ step, words, lines, effort, wait }, i) in rows"
          :key="step.id"
          class="row flex break-inside-avoid gap-3 border-b border-rule"
          :class="step.optional && 'border-dashed'"
        >
          <span class="num font-display font-bold text-mulberry">{{ i + 1 }}</span>
          <img
            v-if="thumbs[i + 1]"
            :src="thumbs[i + 1]"
            :alt="`Face after step ${i + 1}`"
            class="thumb rounded-md object-cover"
          />
          <div class="min-w-0 flex-1">
            <p class="flex flex-wrap items-baseline gap-x-2">
              <strong>{{ step.label || words }}</strong><span v-if="wait" class="rounded bg-rule px-1"
                >wait ~{{ wait }} s until dry</span
              ><span class="text-soft">{{ words }}{{ step.optional ? ', can be left out' : '' }}</span
              ><span class="ml-auto text-soft"
                >~{{ clock(effort.seconds) }}, {{ effort.loads }}
                {{ effort.loads === 1 ? 'load' : 'loads' }}</span
              >
            </p>
            <dl>
              <div v-for="line in lines" :key="line.label" class="flex gap-2">
                <dt class="w-14 shrink-0 text-soft">{{ line.label }}</dt>
                <dd>{{ line.text }}</dd>
              </div>
            </dl>
          </div>
        </li>
      </ol>
    </article>
  </main>
</template>

<style scoped>
/* Nothing on the sheet is smaller than 9 pt (12 px). */
.print-sheet {
  font-size: 13px;
  line-height: 1.35;
}
.print-sheet :deep(.text-xs),
.print-sheet :deep(.text-sm) {
  font-size: 12px;
}
.face {
  height: 34mm;
}
.row {
  padding-block: 2mm;
}
.thumb {
  height: 24mm;
}
.num {
  width: 7mm;
  font-size: 20px;
}
.dense {
  font-size: 12px;
  line-height: 1.22;
}
.dense .face {
  height: 26mm;
}
.dense .row {
  padding-block: 1mm;
}
.dense .thumb {
  height: 15mm;
}
/* Long lists go in two columns. */
.tight .rows {
  columns: 2;
  column-gap: 5mm;
}
.tight {
  line-height: 1.16;
}
.tight .thumb {
  height: 12mm;
}
.tight .num {
  width: 5mm;
  font-size: 14px;
}
.tight .row {
  gap: 1.5mm;
}
</style>
