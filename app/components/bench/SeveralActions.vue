<script setup lang="ts">
import { nanoid } from 'nanoid'
import { Copy, FlipHorizontal2, Grid2x2, Ruler } from '@lucide/vue'
import { fourFold, isKind, likeThat, turnedCopy, twinAll, type LineStep } from '#core/look'

/** What can be done with several steps together. */
const session = useSession()
const selection = useSelection()
const scene = useScene()
const ways = useWays()
const TURNS = [180, 90] as const
const mirror = () => session.edit('mirror', twinAll(selection.ids, ways.twinRule(scene.ground), scene.world))
const turn = (degrees: number) =>
  session.edit(
    'copy turned',
    turnedCopy(selection.ids, degrees, scene.world, () => nanoid(10)),
  )
const fourTimes = () =>
  session.edit(
    'four-fold',
    fourFold(selection.ids, scene.world, () => nanoid(10)),
  )
/** Strokes of the shape of the one in hand: they are made as long and as thick as it is. */
const others = computed(() => {
  const model = selection.step
  return isKind('line', model) && model.points.length > 1
    ? selection.steps.filter(
        (s): s is LineStep => isKind('line', s) && s.id !== model.id && s.shape === model.shape,
      )
    : []
})
function even(): void {
  const model = selection.step
  if (!isKind('line', model)) return
  session.edit('make alike', draft => {
    for (const other of others.value) likeThat(plain(other), plain(model), scene.world)(draft)
  })
}
</script>

<template>
  <section class="space-y-1.5 rounded-lg border border-rule bg-card p-2" aria-label="Several steps together">
    <p class="font-semibold">{{ selection.steps.length }} steps together</p>
    <div class="flex flex-wrap gap-1">
      <button
        class="btn px-2 text-[0.87rem]"
        v-tip="'Every one of them that has no twin gets one on the other side'"
        @click="mirror"
      >
        <FlipHorizontal2 :size="14" />{{ scene.ground.face ? 'Mirror' : 'Other side too' }}
      </button>
      <button
        v-for="degrees in TURNS"
        :key="degrees"
        class="btn px-2 text-[0.87rem]"
        v-tip="`A copy turned by ${degrees}° about their middle`"
        @click="turn(degrees)"
      >
        <Copy :size="14" />turned {{ degrees }}°
      </button>
      <button
        v-if="!scene.ground.face"
        class="btn px-2 text-[0.87rem]"
        v-tip="'Across the arm and along it, at the height of the focal point'"
        @click="fourTimes"
      >
        <Grid2x2 :size="14" />Four-fold
      </button>
      <button
        v-if="others.length"
        class="btn px-2 text-[0.87rem]"
        v-tip="'The others get the length, thickness and brush of the one in hand'"
        @click="even"
      >
        <Ruler :size="14" />Make alike
      </button>
    </div>
  </section>
</template>
