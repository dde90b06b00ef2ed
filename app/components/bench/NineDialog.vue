<script setup lang="ts">
import { Pin, PinOff, RefreshCw } from '@lucide/vue'
import { copied, kindOf, withAlternative, type Alternative } from '#core/look'
import { discAt, plainZone, zoneAt } from '#core/skin'
import { boxOf, EMPTY_BOX, type Box, type Point } from '#core/geometry'
import type { Fit } from '#core/stencil'
import type { OneOfNine } from '~/workers/nine'

/** Nine alternatives at a glance to the step that is selected, or for the spot that is picked. */
const emit = defineEmits<{ close: [] }>()
const session = useSession()
const selection = useSelection()
const scene = useScene()
const notices = useNotices()
const painter = usePainter()
const worker = useSheetWorker()
const ahead = usePictureAhead()

interface Shown extends OneOfNine {
  readonly src: string
}
const step = session.look!.steps.find(s => s.id === selection.id) ?? null
const spot = selection.spot
const shown = shallowRef<readonly Shown[]>([])
const pinned = ref<ReadonlySet<string>>(new Set())
const seen = new Set<string>()
/** How many are painted of those that are being painted; null when none is. */
const done = ref<number | null>(null)
const leastApart = ref<number | null>(null)
const failed = ref<string[]>([])
const count = ref<number | null>(null)

/** How far round a spot stencils are looked for, mm; and the least and the most round a step. */
const ROUND = 25
const REACH = [14, 55] as const

const grown = (b: Box, by: number): Box => ({
  minX: b.minX - by,
  minY: b.minY - by,
  maxX: b.maxX + by,
  maxY: b.maxY + by,
})
const boxes = step ? kindOf(step).boxes(step, { ...scene.world, quick: true }) : []
/** What is seen: all that the step covers, or round the spot. */
const place = computed<Box>(() => {
  const [x, y] = spot ?? [0, 0]
  const points = boxes.length
    ? boxes.flatMap(b => [b.minX, b.minY, b.maxX, b.maxY])
    : [x - ROUND, y - ROUND, x + ROUND, y + ROUND]
  return grown(boxOf(Float64Array.from(points), EMPTY_BOX), 8)
})
/** Where stencils are looked for: the middle of the step on its own side, and how far it reaches. */
function regionOf(): { at: Point; radius: number } | null {
  const [own] = boxes
  if (!step || !own) return spot && { at: spot, radius: ROUND }
  const at: Point = kindOf(step).anchor(step) ?? [(own.minX + own.maxX) / 2, (own.minY + own.maxY) / 2]
  const reach = Math.max(own.maxX - own.minX, own.maxY - own.minY) / 2
  return { at, radius: Math.min(REACH[1], Math.max(REACH[0], 1.15 * reach)) }
}
/** Stencils that fit where the step lies; only stencils take the place of one. */
async function fitting(): Promise<Fit[]> {
  const region = regionOf()
  if (!region || (step && step.kind !== 'sheet')) return []
  await worker.knowDrawer()
  const zone = zoneAt(scene.ground, region.at)
  const wished = {
    ring: discAt(region.at, region.radius),
    even: Math.abs(region.at[0]) < 3,
    keepOuts: [...scene.ground.keepOuts],
    focus: [...session.look!.focus] as [number, number],
    zone: zone && plainZone(zone),
  }
  return (await worker.fits(wished, session.look!, () => {})) ?? []
}
let fits: Promise<Fit[]> | null = null

const paint = newestOnly(async () => {
  failed.value = []
  done.value = 0
  leastApart.value = null
  const stay = shown.value.filter(s => pinned.value.has(s.alternative.key))
  shown.value = []
  try {
    fits ??= fitting()
    const told = await painter.nine(
      {
        look: session.look!,
        stepId: step?.id ?? null,
        place: place.value,
        pinned: stay.map(s => s.alternative),
        seen: [...seen],
        pxPerMm: ahead.finenessToCome(),
      },
      () => fits!,
      one => {
        seen.add(one.alternative.key)
        shown.value = [...shown.value, { ...one, src: canvasOf(one.picture).toDataURL() }]
        done.value = shown.value.length
      },
    )
    count.value = told.count
    leastApart.value = told.leastApart
  } catch (error) {
    if (!(error instanceof GivenUp)) failed.value = sentencesOf(error)
  }
  done.value = null
})
onMounted(() => paint())
onBeforeUnmount(() => {
  void painter.noNine().catch(() => {})
  void worker.stop()
})

function pin(key: string): void {
  const next = new Set(pinned.value)
  if (!next.delete(key)) next.add(key)
  pinned.value = next
}
/** Puts one of them into the look: one step of undo. */
function take(alternative: Alternative): void {
  const put = session.edit('try another', draft => {
    draft.steps = withAlternative(draft, step?.id ?? null, copied(alternative))
  })
  if (!put) return
  selection.id = alternative.steps[0]!.id
  notices.tell(
    `${alternative.why[0]!.toUpperCase()}${alternative.why.slice(1)}. Undo brings back what was there.`,
  )
  emit('close')
}
const title = computed(() => (step ? `Nine others for "${step.label}"` : 'Nine for the picked spot'))
const more = computed(() =>
  pinned.value.size ? `Nine more like ${pinned.value.size === 1 ? 'this one' : 'these'}` : 'Nine more',
)
</script>

<template>
  <PanelDialog open huge :title @close="emit('close')">
    <p v-if="!step && !spot" class="text-soft">
      Select a step, or pick a spot on the face: then nine others are offered for it.
    </p>
    <template v-else>
      <p v-for="s in failed" :key="s" role="alert" class="text-stop">{{ s }}</p>
      <ul
        class="grid grid-cols-2 gap-2.5 sm:grid-cols-3"
        data-testid="nine"
        :data-count="shown.length"
        :data-done="done === null"
      >
        <li
          v-for="s in shown"
          :key="s.alternative.key"
          class="relative overflow-hidden rounded-xl border bg-card"
          :class="pinned.has(s.alternative.key) ? 'border-mulberry ring-2 ring-mulberry' : 'border-rule'"
          :data-sort="s.alternative.sort"
        >
          <button class="block w-full text-left hover:bg-mulberry-wash" @click="take(s.alternative)">
            <img
              :src="s.src"
              :alt="s.alternative.why"
              class="h-[min(19vh,170px)] w-full bg-stage object-cover"
            />
            <span class="block px-2.5 py-1.5 pr-10 text-[0.9rem] leading-snug"
              >{{ s.alternative.why
              }}<span v-if="s.shows" class="text-soft"
                >; shows {{ s.shows.median.toFixed(0) }}, {{ s.shows.words }}</span
              ></span
            >
          </button>
          <button
            class="icon-btn absolute right-1 bottom-1"
            :aria-pressed="pinned.has(s.alternative.key)"
            :aria-label="`Pin: ${s.alternative.why}`"
            v-tip="pinned.has(s.alternative.key) ? 'No longer pinned' : 'Pin: the next nine are like it'"
            @click="pin(s.alternative.key)"
          >
            <component :is="pinned.has(s.alternative.key) ? PinOff : Pin" :size="16" />
          </button>
        </li>
      </ul>
      <p v-if="count === 0" class="py-8 text-center text-soft">
        Nothing else fits here that the kit and the drawer have.
      </p>
      <div class="mt-3 flex flex-wrap items-center gap-3">
        <WaitBar v-if="done !== null" words="Painting the nine…" :done="done / 9" @stop="emit('close')" />
        <p v-else-if="leastApart !== null" class="text-sm text-soft" data-testid="apart">
          The two that are most alike differ in {{ (100 * leastApart).toFixed(0) }} % of what is seen. Press
          one to put it into the look.
        </p>
        <button class="btn-main ml-auto" :disabled="done !== null || count === 0" @click="paint()">
          <RefreshCw :size="16" />{{ more }}
        </button>
      </div>
    </template>
  </PanelDialog>
</template>
