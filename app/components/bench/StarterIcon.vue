<script setup lang="ts">
import { pathData } from '#core/formats'
import { boxOf, EMPTY_BOX } from '#core/geometry'
import {
  hostsIn,
  freshSheet,
  kindOf,
  starterOf,
  type PaintRef,
  type StarterId,
  type Step,
  type World,
} from '#core/look'

/** An arrangement drawn small as it would lie on this canvas. */
const props = defineProps<{ starter: StarterId }>()
const session = useSession()
const scene = useScene()
const drawer = useDrawer()
const ref = (colour: string): PaintRef => ({ id: `icon-${colour.slice(1)}`, name: '', colour })
const palette = { dark: ref('#23201D'), light: ref('#A89F90'), body: ref('#7A2E5D'), accent: ref('#B47A12') }
const shapes = computed(() => {
  let n = 0
  const { ground } = scene
  const sheet = [...drawer.shapes.values()][0]
  const host =
    starterOf(props.starter).on === 'sheet' && sheet
      ? freshSheet('host', '', sheet.id, scene.middle() as [number, number], palette.body)
      : null
  const steps: Step[] = [
    ...(host ? [host] : []),
    ...starterOf(props.starter).make({
      ground,
      focus: session.look!.focus,
      palette,
      id: () => `i${n++}`,
      host,
    }),
  ]
  const world: World = {
    ground,
    ...hostsIn(steps),
    stencil: id => drawer.shapes.get(id),
    paint: () => undefined,
    flat: true,
    quick: true,
  }
  return steps.flatMap(s =>
    kindOf(s)
      .prints(s, world)
      .map((p, i, all) => ({
        rings: p.rings.map(ground.front.ring),
        colour: colourIn(s, i / all.length),
      })),
  )
})
/** The colour of a print in the icon: of several on one brush a light and a dark one. */
function colourIn(step: Step, share: number): string {
  if ('cut' in step) return '#5C564E'
  const [place, ...others] = kindOf(step).paintPlaces(step)
  if (place && !others.length) return place.ref.colour
  return others.length && share < 0.5 ? '#B98BA5' : '#7A2E5D'
}
/** The landmarks' outline gives the eye a hold. */
const eyes = computed(() =>
  scene.ground.keepOuts.filter(k => k.kind === 'eye' || k.kind === 'mouth').map(k => k.ring),
)
const view = computed(() => {
  const rings = shapes.value.flatMap(s => s.rings)
  if (!rings.length) return '0 0 10 10'
  const b = rings.reduce((box, r) => boxOf(r, box), { ...EMPTY_BOX })
  const w = Math.max(60, b.maxX - b.minX + 8)
  const h = Math.max(w * 0.5, b.maxY - b.minY + 8)
  return `${(b.minX + b.maxX) / 2 - Math.max(w, h * 2) / 2} ${(b.minY + b.maxY - h) / 2} ${Math.max(w, h * 2)} ${h}`
})
</script>

<template>
  <svg :viewBox="view" class="plate h-14 w-full" aria-hidden="true">
    <path :d="pathData(eyes)" fill="none" stroke="#B9B2A6" stroke-width="0.8" />
    <path v-for="(s, i) in shapes" :key="i" :d="pathData(s.rings)" :fill="s.colour" />
  </svg>
</template>
