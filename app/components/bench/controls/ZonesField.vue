<script setup lang="ts">
import { PenLine } from '@lucide/vue'
import { axisFor, NO_TWIN, washSides, type Wash } from '#core/look'
import { zoneWords, type ZoneId } from '#core/skin'

const props = defineProps<{ step: Wash }>()
const scene = useScene()
const steps = useSteps()
const shaping = useShaping()

function toggle(id: ZoneId): void {
  const { zones: now } = props.step
  const zones = now.includes(id) ? now.filter(z => z !== id) : [...now, id]
  if (zones.length === 0) return
  steps.editKind('wash', 'where the base goes', s => {
    Object.assign(s, { zones, points: [], twin: { ...NO_TWIN } })
    // Light stays in the middle of what is painted.
    if (s.axis.kind === 'out') s.axis = axisFor(washSides(s, scene.ground)[0]!)
  })
}
const straighten = (straight: boolean) =>
  steps.editKind('wash', straight ? 'straight edges' : 'round edges', s => {
    s.straight = straight
  })
</script>

<template>
  <div class="space-y-1.5">
    <template v-if="step.points.length">
      <p class="text-[0.87rem] leading-snug text-soft">
        Its outline is drawn: drag its handles, a small one between two for one more, Alt click to take one
        out. A zone replaces it.
      </p>
      <SwitchField
        :model-value="step.straight"
        label="Corners at the handles"
        @update:model-value="straighten"
      />
    </template>
    <button
      v-else
      class="btn px-2 text-[0.87rem]"
      v-tip="'Go on from the outline of these zones, with handles'"
      @click="shaping.drawOutline()"
    >
      <PenLine :size="14" />Draw its outline
    </button>
    <div class="flex flex-wrap gap-1">
      <button
        v-for="id in scene.ground.zones"
        :key="id"
        class="chip"
        :aria-pressed="step.zones.includes(id)"
        @click="toggle(id)"
      >
        {{ zoneWords(id) }}
      </button>
    </div>
  </div>
</template>
