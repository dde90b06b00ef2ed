<script setup lang="ts">
import { axisFor, washRings, type Wash } from '#core/look'
import { ZONE_IDS, zoneWords, type ZoneId } from '#core/skin'

const props = defineProps<{ step: Wash }>()
const bench = useBench()
const chosen = computed(() => 'zones' in props.step.region ? props.step.region.zones : [])

function toggle(id: ZoneId): void {
  const zones = chosen.value.includes(id) ? chosen.value.filter(z => z !== id) : [...chosen.value, id]
  if (zones.length === 0) return
  bench.editStep('where the base goes', (s) => {
    if (s.kind !== 'wash') return
    s.region = { zones }
    // Light stays in the middle of what is painted.
    if (s.axis.kind === 'out') s.axis = axisFor(washRings({ ...props.step, region: { zones } }, bench.world.face)) as Wash['axis']
  })
}
</script>

<template>
  <div>
    <p v-if="'outline' in step.region" class="mb-1 text-[0.87rem] text-soft">An outline of its own, {{ step.region.outline.length }} points. A zone replaces it.</p>
    <div class="flex flex-wrap gap-1">
      <button v-for="id in ZONE_IDS" :key="id" class="chip" :aria-pressed="chosen.includes(id)" @click="toggle(id)">{{ zoneWords(id) }}</button>
    </div>
  </div>
</template>
