<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { ringsOf, boxOf } from '#core/geometry'
import { pathData } from '#core/formats'
import { discAt, layOn, plainZone, zoneAt, zoneSpot, zoneWords, type ZoneId } from '#core/skin'
import type { Fit } from '#core/stencil'

const session = useSession()
const selection = useSelection()
const scene = useScene()
const laying = useLaying()
const drawer = useDrawer()
const worker = useSheetWorker()
const painter = usePainter()
const zone = ref<ZoneId>(scene.ground.face ? 'forehead' : 'middle band')
const radius = ref(25)
const fits = shallowRef<Fit[]>([])
const done = ref<number | null>(null)
const stopped = ref(false)
const failed = ref('')
const thumb = ref('')

const region = computed(() =>
  selection.spot
    ? { ring: discAt(selection.spot, radius.value), even: Math.abs(selection.spot[0]) < 3 }
    : (zoneSpot(scene.ground, zone.value) ?? zoneSpot(scene.ground, scene.ground.zones[0]!)!),
)
const box = computed(() => scene.ground.box)
watch(
  () => scene.ground,
  ground => {
    if (!ground.zone(zone.value)) zone.value = ground.zones[0]!
  },
)
const plain = computed(() => {
  const id = selection.spot ? zoneAt(scene.ground, selection.spot) : zone.value
  return id && plainZone(id)
})
const where = computed(() => (selection.spot ? 'the picked spot' : `the ${zoneWords(zone.value)}`))

/** The look for which the list was made: of any other it is old. */
const of = shallowRef(session.look)
const old = computed(() => of.value !== session.look)
let newest = 0
async function search(): Promise<void> {
  const mine = ++newest
  const look = session.look
  // What fitted elsewhere must not stand, and be laid, under the new spot's heading.
  fits.value = []
  of.value = look
  stopped.value = false
  done.value = 0
  failed.value = ''
  try {
    await worker.knowDrawer()
    // While the sheets were fetched another spot may have been wanted.
    if (mine === newest) await rank(mine)
  } catch (error) {
    if (mine === newest) failed.value = sentencesOf(error)[0] ?? 'The search failed.'
  } finally {
    if (mine === newest) done.value = null
  }
}
async function rank(mine: number): Promise<void> {
  const found = await worker.fits(
    {
      ...region.value,
      keepOuts: [...scene.ground.keepOuts],
      focus: [...session.look!.focus],
      zone: plain.value,
    },
    session.look!,
    share => {
      if (mine === newest && done.value !== null) done.value = share
    },
  )
  // A search that a newer one replaced, or that was stopped, says nothing.
  if (mine !== newest) return
  if (found === null) stopped.value = true
  else fits.value = found.slice(0, 24)
}
async function stop(): Promise<void> {
  newest++
  stopped.value = true
  await worker.stop()
  done.value = null
}
watch(region, () => void search(), { immediate: true })
watchDebounced(
  () => session.look,
  look => {
    if (look && old.value) void search()
  },
  { debounce: 700 },
)
watch(
  () => session.look,
  async look => {
    if (look && scene.loaded) thumb.value = canvasOf(await painter.paint(look, 1)).toDataURL()
  },
  { immediate: true },
)
onBeforeUnmount(() => void worker.stop())

/** The fit drawn on the face: the part of the head around the spot, with the openings as they would lie. */
const view = computed(() => {
  const b = boxOf(region.value.ring)
  const pad = 14
  const w = Math.max(b.maxX - b.minX, (b.maxY - b.minY) * 1.6) + 2 * pad
  const h = w / 1.6
  return `${(b.minX + b.maxX) / 2 - w / 2} ${(b.minY + b.maxY) / 2 - h / 2} ${w} ${h}`
})
const drawn = (fit: Fit) => {
  const sheet = drawer.shapes.get(fit.id)
  const laid = layOn(scene.ground.surface, fit, true)
  return sheet
    ? pathData(
        ringsOf(fit.openings ? fit.openings.map(n => sheet.openings[n]!) : sheet.openings).map(r =>
          scene.ground.front.ring(laid.ring(r)),
        ),
      )
    : ''
}
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <div class="shrink-0 space-y-1.5 px-3 pb-2">
      <template v-if="selection.spot">
        <label class="flex items-center gap-2 text-[0.87rem]"
          >radius
          <input
            v-model.number="radius"
            type="range"
            min="10"
            max="60"
            step="5"
            class="min-w-0 flex-1 accent-mulberry"
            aria-label="Radius of the spot, mm"
          /><span class="w-12 text-right">{{ radius }} mm</span></label
        >
        <button class="btn w-full text-[0.87rem]" @click="selection.spot = null">
          A zone instead of the picked spot
        </button>
      </template>
      <template v-else>
        <select v-model="zone" class="field" aria-label="Zone to fill">
          <option v-for="z in scene.ground.zones" :key="z" :value="z">{{ zoneWords(z) }}</option>
        </select>
        <p class="text-[0.8rem] text-soft">
          Or tap a spot on the {{ scene.ground.words }}; on paint press long.
        </p>
      </template>
      <p v-if="failed" class="flex items-center gap-2 text-[0.87rem] text-stop" role="alert">
        <span class="flex-1">{{ failed }}</span><button class="btn px-2 py-0 text-[0.8rem]" @click="search">
          Search again
        </button>
      </p>
      <p v-if="stopped" class="flex items-center gap-2 text-[0.87rem] text-soft" role="status">
        <span class="flex-1">Stopped before every stencil was tried.</span
        ><button class="btn px-2 py-0 text-[0.8rem]" @click="search">Search again</button>
      </p>
      <div v-if="done !== null" class="flex items-center gap-2" role="status">
        <div class="h-1.5 flex-1 overflow-hidden rounded-full bg-rule">
          <div class="h-full bg-mulberry" :style="{ width: `${100 * done}%` }" />
        </div>
        <button class="btn px-2 py-0 text-[0.8rem]" @click="stop">Stop</button>
      </div>
    </div>
    <ol class="min-h-0 flex-1 space-y-2 overflow-y-auto px-3 pb-3" :aria-label="`What fits ${where}`">
      <li v-for="(fit, i) in fits" :key="fit.id">
        <button
          class="block w-full rounded-lg border border-rule bg-card p-1.5 text-left hover:border-mulberry disabled:opacity-50"
          :disabled="old"
          :data-fit="fit.id"
          @click="laying.addSheet(fit.id, fit.at, fit)"
        >
          <svg :viewBox="view" class="block aspect-[1.6] w-full rounded-md bg-stage">
            <image
              v-if="thumb"
              :href="thumb"
              :x="box.minX"
              :y="box.minY"
              :width="box.maxX - box.minX"
              :height="box.maxY - box.minY"
            />
            <path :d="drawn(fit)" fill="#7A2E5D" fill-opacity="0.8" fill-rule="evenodd" />
            <path
              :d="pathData([scene.ground.front.ring(region.ring)])"
              fill="none"
              stroke="#FDFCF9"
              stroke-width="0.8"
              stroke-dasharray="2.4 2"
            />
          </svg>
          <span class="mt-1 flex items-baseline gap-2"
            ><strong class="min-w-0 flex-1 truncate">{{ i + 1 }}. {{ drawer.find(fit.id)?.name }}</strong
            ><EstimateMark v-if="i === 0" /><span class="font-display font-semibold text-mulberry">{{
              fit.score.toFixed(2)
            }}</span></span
          >
          <span class="block text-[0.8rem] leading-snug text-soft">{{ fit.reasons.join('; ') }}</span>
        </button>
      </li>
    </ol>
  </div>
</template>
