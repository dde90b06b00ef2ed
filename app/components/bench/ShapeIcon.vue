<script setup lang="ts">
import { pathData } from '#core/formats'
import { boxOf, EMPTY_BOX } from '#core/geometry'
import { PLANE, ribbons, roundOn } from '#core/skin'
import { dotShape, shapeOf, usualParams, type DotRun, type ShapeId } from '#core/stroke'

/** A stroke or a run of dots drawn small, from the same geometry that is painted. */
const props = defineProps<{ shape?: ShapeId; run?: DotRun }>()
const rings = computed(() =>
  props.shape
    ? shapeOf(props.shape)
        .draw(
          shapeOf(props.shape).usual,
          usualParams(shapeOf(props.shape).params),
          shapeOf(props.shape).brush,
        )
        .flatMap(s => ribbons(PLANE, s).flat())
    : props.run
      ? dotShape(props.run)
          .draw(dotShape(props.run).usual, usualParams(dotShape(props.run).params))
          .map(d => roundOn(PLANE, d.at, d.size / 2))
      : [],
)
const view = computed(() => {
  const b = rings.value.reduce((box, r) => boxOf(r, box), { ...EMPTY_BOX })
  const side = Math.max(b.maxX - b.minX, b.maxY - b.minY) * 1.12
  return `${(b.minX + b.maxX - side) / 2} ${(b.minY + b.maxY - side) / 2} ${side} ${side}`
})
</script>

<template>
  <svg :viewBox="view" class="h-9 w-full" aria-hidden="true">
    <path :d="pathData(rings)" fill="currentColor" />
  </svg>
</template>
