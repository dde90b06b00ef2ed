<script setup lang="ts">
import type { SheetHeld } from '#core/chair'
import { pathData } from '#core/formats'

/** A sheet as it is held to the skin: turned as it lies, mirrored when it is flipped, its top marked. */
const props = defineProps<{ held: SheetHeld; words: string }>()
const drawer = useDrawer()
const sheet = computed(() => drawer.shapes.get(props.held.stencil)!)
const reach = computed(() => Math.hypot(sheet.value.width, sheet.value.height) / 2 + 5)
const turned = computed(() => `rotate(${props.held.tilt})${props.held.side === 'B' ? ' scale(-1 1)' : ''}`)
const outline = computed(() => pathData([sheet.value.outline]))
const openings = computed(() => sheet.value.openings.map(o => pathData([o.outer, ...o.holes])).join(''))
</script>

<template>
  <figure class="flex min-w-0 items-center gap-2.5">
    <svg
      class="size-20 shrink-0 rounded-lg bg-stage md:size-28"
      :viewBox="`${-reach} ${-reach} ${2 * reach} ${2 * reach}`"
      role="img"
      :aria-label="`${sheet.name}, side ${held.side}, ${held.turned}`"
    >
      <g :transform="turned">
        <path :d="outline" fill="#fdfcf9" stroke="#7a2e5d" :stroke-width="reach / 60" />
        <path :d="openings" fill="#23201d" fill-rule="evenodd" />
        <path
          :d="`M0 ${-sheet.height / 2 - reach / 40}l${reach / 14} ${reach / 9}h${-reach / 7}Z`"
          fill="#7a2e5d"
        />
      </g>
    </svg>
    <figcaption class="min-w-0 leading-snug">
      <strong class="block">{{ words }}: {{ sheet.name }}</strong>
      <span class="chair-soft block"
        ><b>side {{ held.side }}</b
        >{{ held.side === 'B' ? ', flipped' : '' }}, {{ held.turned }}</span
      >
      <span class="chair-soft block">{{ held.where }}</span>
    </figcaption>
  </figure>
</template>
