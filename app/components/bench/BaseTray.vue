<script setup lang="ts">
import { PenLine } from '@lucide/vue'
import { listed, type ToolLoad } from '#core/look'
import type { ZoneId } from '#core/skin'

/** Bases: dabbed over an area, led with a loaded sponge, and what goes over them. */
const scene = useScene()
const steps = useSteps()
const kit = useKit()
const sponging = useSponging()
const selection = useSelection()
const ways = useWays()
const HOWS = [
  ['area', 'Dab an area'],
  ['sponge', 'By sponge'],
  ['over', 'Go over'],
] as const
/** What a press covers, known by the first of its zones. */
const onFace: { words: string; zones: [ZoneId, ...ZoneId[]] }[] = [
  { words: 'Forehead', zones: ['forehead'] },
  { words: 'Eyes', zones: ['left.eye', 'right.eye'] },
  { words: 'Lids', zones: ['left.lid', 'right.lid'] },
  { words: 'Under-eyes', zones: ['left.under-eye', 'right.under-eye'] },
  { words: 'Cheeks', zones: ['left.cheek', 'right.cheek'] },
  { words: 'Cheekbones', zones: ['left.cheekbone', 'right.cheekbone'] },
  { words: 'Temples', zones: ['left.temple', 'right.temple'] },
  { words: 'Nose', zones: ['nose'] },
  { words: 'Muzzle', zones: ['muzzle'] },
  { words: 'Chin', zones: ['chin'] },
  { words: 'Jaw', zones: ['left.jaw', 'right.jaw'] },
  { words: 'Whole face', zones: ['face'] },
]
const onArm: typeof onFace = [
  { words: 'Whole arm', zones: ['arm'] },
  { words: 'Upper band', zones: ['upper band'] },
  { words: 'Middle band', zones: ['middle band'] },
  { words: 'Lower band', zones: ['lower band'] },
]
const areas = computed(() => (scene.ground.face ? onFace : onArm).map(a => ({ ...a, id: a.zones[0] })))
/** A base on an outline of its own. */
const DRAWN = 'drawn'
// What was chosen stays while other trays and other looks are open.
const { how, where, whereChosen, colours } = useBaseChoice()
watch(
  areas,
  () => {
    if (where.value.every(w => w !== DRAWN && !areas.value.some(a => a.id === w))) {
      where.value = [areas.value[0]!.id]
      whereChosen.value = false
    }
  },
  { immediate: true },
)
/** The first press says where: what stood there before nobody had chosen. */
function chooseWhere(id: string): void {
  const before = whereChosen.value || where.value.includes(id) ? where.value.filter(w => w !== DRAWN) : []
  whereChosen.value = true
  where.value = toggle(before, id)
}
const toggle = (list: string[], item: string, most = 99) =>
  list.includes(item) ? list.filter(v => v !== item) : [...list, item].slice(-most)

/** A split cake lies by itself; colours blend into one another. */
function take(id: string): void {
  const cake = (kit.find(id)?.strips.length ?? 0) > 1
  const others = colours.value.filter(c => (kit.find(c)?.strips.length ?? 0) < 2)
  if (cake) colours.value = colours.value.includes(id) ? [] : [id]
  else colours.value = toggle(others, id, how.value === 'sponge' ? 2 : 5)
}
const chosenCake = computed(() => {
  const paint = kit.find(colours.value[0] ?? '')
  return paint && paint.strips.length > 1 ? paint : null
})

/** Short: two places are named, the others are counted. */
const nameOf = (places: readonly string[]) =>
  places.length > 3
    ? `Base, ${places.slice(0, 2).join(', ')} and ${places.length - 2} more`
    : `Base, ${listed(places)}`

function layBase(): void {
  const zones = areas.value.filter(a => where.value.includes(a.id)).flatMap(a => a.zones)
  const paints = colours.value.map(id => kit.refOf(kit.find(id)!))
  const cake = chosenCake.value ? kit.cakeRefOf(chosenCake.value) : null
  if (where.value.includes(DRAWN) && paints.length) steps.addWash(null, paints, 'Base, drawn', cake)
  else if (zones.length && paints.length)
    steps.addWash(
      zones,
      paints,
      nameOf(areas.value.filter(a => where.value.includes(a.id)).map(a => a.words.toLowerCase())),
      cake,
    )
}

/** What the sponge is loaded with: a cake, one colour, or a second one on its edge. */
const load = computed<ToolLoad | null>(() => {
  if (chosenCake.value) return { kind: 'cake', cake: kit.cakeRefOf(chosenCake.value), strips: null }
  const [first, second] = colours.value.map(id => kit.refOf(kit.find(id)!))
  if (!first) return null
  return second ? { kind: 'double', first, second, share: 0.35 } : { kind: 'one', paint: first }
})
const MANNERS = [
  ['drawn', 'Band', 'Pressed down and drawn along a way'],
  ['stamped', 'Stamps', 'Pressed down side by side along a way'],
  ['turned', 'Half moon', 'Turned about a point'],
] as const
/** The steps that are gone over: what is selected, else the last that lays paint. */
const named = computed(() => {
  const list = sponging.under.value
  return list.length > 1 ? `${list.length} selected steps` : list[0] ? `"${list[0].label}"` : 'nothing yet'
})
const OVERS = [
  [
    'blend',
    'Blend with a nearly dry sponge',
    [
      ['rim', 'its edges'],
      ['print', 'all of it'],
      ['trail', 'along a way'],
      ['outline', 'a shape'],
    ],
  ],
  [
    'wipe',
    'Wipe',
    [
      ['outline', 'a shape'],
      ['print', 'all of it'],
      ['all', 'everything'],
    ],
  ],
  [
    'wetBrush',
    'Clean with a wet brush',
    [
      ['trail', 'along a way'],
      ['rim', 'its edges'],
    ],
  ],
] as const
/** The painter's own way of cleaning an edge stands before the other. */
const overs = computed(() => {
  const [blend, wipe, brush] = OVERS
  return ways.now.clean === 'wipe' ? [blend, wipe, brush] : [blend, brush, wipe]
})
</script>

<template>
  <div class="flex h-full flex-col">
    <SegmentedChoice v-model="how" class="m-3 mb-0 shrink-0" label="What kind of base" :options="HOWS" />
    <div v-if="how !== 'over'" class="min-h-0 flex-1 space-y-3 overflow-y-auto p-3">
      <section v-if="how === 'area'">
        <h3 class="eyebrow mb-1.5">Where</h3>
        <div class="flex flex-wrap gap-1">
          <button
            v-for="a in areas"
            :key="a.id"
            class="chip"
            :aria-pressed="where.includes(a.id)"
            @click="chooseWhere(a.id)"
          >
            {{ a.words }}
          </button>
          <button
            class="chip"
            :aria-pressed="where.includes(DRAWN)"
            v-tip="'An oval where the spot is picked, drawn on by its handles'"
            @click="where = where.includes(DRAWN) ? [areas[0]!.id] : [DRAWN]"
          >
            <PenLine :size="12" class="mr-0.5 inline" />Its own outline
          </button>
        </div>
      </section>
      <section>
        <h3 class="eyebrow mb-1.5">Colours, light to dark: one to five, or a cake</h3>
        <NoPaints v-if="!kit.paints.length" />
        <div v-else class="grid grid-cols-6 gap-1.5">
          <button
            v-for="p in kit.paints"
            :key="p.id"
            class="relative aspect-square rounded-lg border border-ink/15"
            :class="colours.includes(p.id) && 'ring-2 ring-mulberry ring-offset-2 ring-offset-paper'"
            :style="{ background: swatchOf(p) }"
            v-tip="`${p.name}, ${p.finish}`"
            :aria-label="p.name"
            :aria-pressed="colours.includes(p.id)"
            @click="take(p.id)"
          >
            <span
              v-if="colours.includes(p.id)"
              class="absolute -top-1.5 -right-1.5 grid size-4.5 place-items-center rounded-full bg-mulberry text-xs font-bold text-on"
              >{{ colours.indexOf(p.id) + 1 }}</span
            >
          </button>
        </div>
      </section>
      <p v-if="kit.paints.length" class="min-h-5 text-[0.87rem] text-soft">
        {{ colours.map(id => kit.find(id)?.name).join(' to ') || 'Choose at least one colour.' }}
      </p>
    </div>
    <div v-if="how !== 'over'" class="shrink-0 border-t border-rule p-3">
      <button
        v-if="how === 'area'"
        class="btn-main w-full"
        :disabled="!where.length || !colours.length"
        @click="layBase"
      >
        Lay this base
      </button>
      <div v-else class="grid grid-cols-3 gap-1.5">
        <button
          v-for="[manner, words, what] in MANNERS"
          :key="manner"
          class="tile"
          :data-manner="manner"
          v-tip="what"
          :disabled="!load"
          @click="load && sponging.addPull(manner, load)"
        >
          <MannerIcon :manner="manner" :load="load" /><span>{{ words }}</span>
        </button>
      </div>
    </div>
    <div v-if="how === 'over'" class="min-h-0 flex-1 space-y-3 overflow-y-auto p-3">
      <p class="text-[0.87rem] leading-snug text-soft">
        Over {{ named }}<template v-if="!selection.steps.length">, the last that was laid</template>.
      </p>
      <section v-for="[act, words, areas] in overs" :key="act">
        <h3 class="eyebrow mb-1">{{ words }}</h3>
        <div class="flex flex-wrap gap-1.5">
          <button
            v-for="[area, text] in areas"
            :key="area"
            class="btn text-[0.87rem]"
            :data-rework="`${act} ${area}`"
            @click="sponging.addRework(act, area)"
          >
            {{ text }}
          </button>
        </div>
      </section>
    </div>
  </div>
</template>
