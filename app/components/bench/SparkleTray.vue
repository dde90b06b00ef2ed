<script setup lang="ts">
import { toast } from 'vue-sonner'
import { Gem, Smile, Sparkles, Star } from '@lucide/vue'
import { FILLS, type Fill } from '#core/look'
import type { EmptySpot } from '#core/raster'
import type { Fit } from '#core/stencil'
import { discAt, plainZone, zoneAt } from '#core/skin'

/** Gems, glitter and lips, and the empty patches where they could go. */
const session = useSession()
const scene = useScene()
const laying = useLaying()
const sparkle = useSparkle()
const selection = useSelection()
const ways = useWays()
const arrangements = useArrangements()
const flow = useFlow()
const drawer = useDrawer()
const worker = useSheetWorker()
const areas = [
  ['patch', 'round patch'],
  ['trail', 'trail'],
  ['outline', 'outlined'],
  ['zones', 'zones'],
  ['print', 'over a print'],
  ['rim', 'along its edges'],
  ['lowerLip', 'lower lip'],
] as const
const fillWords: Record<Fill, string> = { dots: 'Dots', star: 'Star', glitter: 'Glitter' }
const spots = computed(() => flow.composition?.spots ?? [])
const balance = computed(() => flow.composition?.balance ?? null)
const share = (pair: readonly [number, number]) =>
  pair[0] + pair[1] > 0 ? Math.round((100 * pair[0]) / (pair[0] + pair[1])) : 50
/** The composition is worked out while it is looked at. */
const look = ref(false)
watch(look, on => {
  flow.showSpots = on
})
onBeforeUnmount(() => {
  flow.showSpots = false
})

const searching = ref<number | null>(null)
/** Lays the best small motif of the drawer into a patch. */
async function motif(spot: EmptySpot, n: number): Promise<void> {
  searching.value = n
  try {
    await worker.knowDrawer()
    const zone = zoneAt(scene.ground, spot.at)
    const fits: Fit[] | null = await worker.fits(
      {
        ring: discAt(spot.at, spot.radius * 1.15),
        even: false,
        keepOuts: [...scene.ground.keepOuts],
        focus: [...session.look!.focus],
        zone: zone && plainZone(zone),
      },
      session.look!,
      () => {},
    )
    const fit = fits?.find(s => drawer.find(s.id)?.kind !== 'texture' && s.score > 0.2)
    if (!fit)
      return void toast.error(`No motif of the drawer is small enough for ${Math.round(2 * spot.radius)} mm.`)
    await laying.addSheet(fit.id, fit.at, fit)
  } finally {
    searching.value = null
  }
}
</script>

<template>
  <div class="h-full space-y-3 overflow-y-auto p-3">
    <section>
      <h3 class="eyebrow mb-1"><Gem :size="13" class="mr-1 inline" />Gems</h3>
      <div class="grid grid-cols-3 gap-1.5">
        <button
          v-for="cut in ['round', 'drop', 'star'] as const"
          :key="cut"
          class="btn capitalize"
          :data-gem="cut"
          @click="sparkle.addGem(cut)"
        >
          {{ cut }}
        </button>
      </div>
    </section>
    <section>
      <h3 class="eyebrow mb-1"><Sparkles :size="13" class="mr-1 inline" />Glitter</h3>
      <div class="flex flex-wrap gap-1.5">
        <button
          v-for="[area, words] in areas"
          :key="area"
          class="btn text-[0.87rem]"
          :data-glitter="area"
          @click="sparkle.addGlitter(area)"
        >
          {{ words }}
        </button>
        <button
          v-if="selection.sheet"
          class="btn text-[0.87rem]"
          :class="ways.now.glitter === 'lifting' && 'border-mulberry!'"
          :aria-pressed="selection.sheet.passes.at(-1)!.glitter"
          v-tip="'On the last colour layer of the selected stencil, while that still lies there'"
          @click="sparkle.beforeLifting()"
        >
          before lifting "{{ selection.sheet.label }}"
        </button>
      </div>
    </section>
    <section v-if="scene.ground.face">
      <h3 class="eyebrow mb-1"><Smile :size="13" class="mr-1 inline" />Lips</h3>
      <button class="btn w-full" @click="sparkle.addLips()">Paint the lips</button>
    </section>
    <section class="border-t border-rule pt-2">
      <SwitchField v-model="look" label="Show empty patches" />
      <template v-if="look">
        <div v-if="balance" class="mt-2 text-[0.87rem] leading-snug" data-testid="balance">
          <p class="font-semibold">Their right and left: {{ balance.words }}.</p>
          <div
            v-for="[words, pair] in [
              ['painted area', balance.area],
              ['colour weight', balance.weight],
              ['above and below', balance.upright],
            ] as const"
            :key="words"
            class="mt-1"
          >
            <div class="flex justify-between text-soft">
              <span>{{ share(pair) }} %</span><span>{{ words }}</span
              ><span>{{ 100 - share(pair) }} %</span>
            </div>
            <div class="flex h-2 overflow-hidden rounded-full bg-rule">
              <span class="bg-mulberry" :style="{ width: `${share(pair)}%` }" /><span class="w-px bg-white" />
            </div>
          </div>
        </div>
        <p v-if="!spots.length" class="mt-1 text-[0.87rem] text-soft">
          No patch of 7 mm or more is free between the elements.
        </p>
        <ul class="mt-1.5 space-y-1.5" data-testid="spots">
          <li
            v-for="(s, i) in spots"
            :key="i"
            class="rounded-lg border border-rule bg-card px-2 py-1 text-[0.87rem]"
          >
            <p>
              <strong>{{ i + 1 }}</strong> {{ Math.round(2 * s.radius) }} mm across, {{ s.where }}
            </p>
            <div class="mt-0.5 flex flex-wrap gap-1">
              <button
                v-for="f in FILLS"
                :key="f"
                class="btn px-2 py-0.5 text-[0.8rem]"
                @click="arrangements.fill(f, s.at, s.radius)"
              >
                {{ fillWords[f] }}</button><button
                class="btn px-2 py-0.5 text-[0.8rem]"
                :disabled="searching !== null"
                @click="motif(s, i)"
              >
                <Star :size="12" />{{ searching === i ? 'Looking…' : 'Motif' }}
              </button>
            </div>
          </li>
        </ul>
      </template>
    </section>
  </div>
</template>
