<script setup lang="ts">
import type { TryFacts } from '~/workers/tries'

/** What there is to weigh of the tries, a column each; the best of a row is marked where less or more is better. */
const { tries } = defineProps<{
  tries: readonly { letter: string; facts: TryFacts | null; old: boolean }[]
}>()
const settings = useSettings()

interface Row {
  readonly words: string
  readonly about?: string
  readonly text: (facts: TryFacts) => string
  /** What is compared: the least is best; left out where nothing is better. */
  readonly least?: (facts: TryFacts) => number | null
}
const count = (n: number, words: string) => `${n} ${words}${n === 1 ? '' : 's'}`
const flow = ({ flow }: TryFacts) => (flow ? `${flow.toward.toFixed(2)}, ${flow.words}` : 'points nowhere')
const findings = ({ findings: { problem, warning, tip } }: TryFacts) =>
  [problem && count(problem, 'problem'), warning && count(warning, 'warning'), tip && count(tip, 'tip')]
    .filter(Boolean)
    .join(', ') || 'nothing to say'
const balance = ({ balance: { right, words } }: TryFacts) =>
  right === null ? words : `${Math.round(100 * right)} : ${Math.round(100 - 100 * right)}, ${words}`

const ROWS: readonly Row[] = [
  { words: 'Time, drying included', text: f => `${clock(f.seconds)} min`, least: f => f.seconds },
  {
    words: 'without optional steps',
    text: f => (f.shorter === null ? 'nothing is optional' : `${clock(f.shorter)} min`),
    least: f => f.shorter,
  },
  { words: 'of it waiting to dry', text: f => `${clock(f.wait)} min`, least: f => f.wait },
  {
    words: 'Paint',
    text: f => `${f.grams.toFixed(2)} g${f.cost === null ? '' : `, ${settings.money(f.cost)}`}`,
    least: f => f.grams,
  },
  {
    words: 'Stencils, wipes',
    text: f => `${count(f.sheets, 'stencil')}, ${count(f.wipes, 'wipe')}`,
    least: f => f.sheets + f.wipes,
  },
  {
    words: 'Shows least',
    about: 'Colour difference CIEDE2000 of the step that shows least, on this skin',
    text: f =>
      f.weakest ? `${f.weakest.label}: ${f.weakest.shows.toFixed(0)}, ${f.weakest.words}` : 'no steps',
    least: f => -(f.weakest?.shows ?? 0),
  },
  {
    words: 'Bleeds',
    text: f =>
      !f.sheets
        ? 'no stencil'
        : f.closed
          ? `${count(f.closed, 'bridge')} may close`
          : `at most ${f.creep.toFixed(1)} mm`,
    least: f => (f.sheets ? f.closed + f.creep / 100 : null),
  },
  {
    words: 'Flows to the focal point',
    about: 'From 0 to 1: how much everything that points leads there',
    text: flow,
    least: f => -(f.flow?.toward ?? 0),
  },
  { words: 'Their right : left', about: 'How the paint weighs on each side of the face', text: balance },
  {
    words: 'Check',
    text: findings,
    least: f => 1000 * f.findings.problem + f.findings.warning,
  },
]

/** The tries that are best in a row; none where all are alike. */
function bestIn({ least }: Row): ReadonlySet<string> {
  if (!least) return new Set()
  const known = tries.flatMap(({ letter, facts }) => {
    const value = facts && least(facts)
    return value === null ? [] : [[letter, value] as const]
  })
  const best = Math.min(...known.map(([, v]) => v))
  const list = known.filter(([, v]) => v < best + 1e-6).map(([letter]) => letter)
  return new Set(list.length < known.length ? list : [])
}
const rows = computed(() => ROWS.map(row => ({ ...row, best: bestIn(row) })))
</script>

<template>
  <table class="w-full border-collapse text-[0.92rem]" data-testid="try-table">
    <caption class="sr-only">
      What there is to weigh of the tries
    </caption>
    <thead>
      <tr>
        <th scope="col" class="w-44 py-1 text-left text-sm font-normal text-soft">
          Numbers are estimates <EstimateMark />
        </th>
        <th
          v-for="t in tries"
          :key="t.letter"
          scope="col"
          class="px-2 py-1 text-left font-display text-lg font-semibold"
        >
          {{ t.letter }}
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.words" class="border-t border-rule align-top">
        <th scope="row" class="py-1 pr-2 text-left font-normal text-soft" v-tip="row.about">
          {{ row.words }}
        </th>
        <td v-for="t in tries" :key="t.letter" class="px-2 py-1 leading-snug" :class="t.old && 'opacity-40'">
          <template v-if="t.facts"
            ><span :class="row.best.has(t.letter) && 'font-semibold text-go'"
              >{{ row.text(t.facts) }}<span v-if="row.best.has(t.letter)" class="sr-only">, best</span></span
            ></template
          >
          <span v-else class="text-soft">…</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>
