<script setup lang="ts">
import { PenLine } from '@lucide/vue'
import { isKind, isSparkle, laysNothing, type Part, type Pass, type SheetStep } from '#core/look'
import { zoneWords, type ZoneId } from '#core/skin'

/** Where a pass is dabbed: everywhere, in a drawn shape, on zones, or only where an earlier step lies. */
const props = defineProps<{ step: SheetStep; pass: Pass; index: number }>()
const session = useSession()
const scene = useScene()
const steps = useSteps()
const drawing = useDrawing()
const notices = useNotices()
const FADES = 3
const put = (part: Part | null, merge: string | null = null) =>
  steps.editKind(
    'sheet',
    'part of the stencil',
    s => {
      const pass = s.passes[props.index]
      if (!pass) return
      if (part) pass.part = part
      else delete pass.part
    },
    merge,
  )
const fades = computed(() => props.pass.part?.fades ?? FADES)
const ASK = 'Draw round the part to dab, or tap for a disc'
/** Each layer asks for a shape of its own. */
const asking = computed(() => `part of layer ${props.index}`)
const draw = () => drawing.ask(asking.value, ASK, loop => put({ by: 'shape', loop, fades: fades.value }))
const hosts = computed(() => {
  const all = session.look!.steps
  return all
    .slice(
      0,
      all.findIndex(s => s.id === props.step.id),
    )
    .filter(s => !isSparkle(s) && !laysNothing(s))
})
function choose(by: string): void {
  if (by === 'all') return void put(null)
  if (by === 'shape') return draw()
  if (by === 'zones')
    return void put({
      by,
      zones: [scene.ground.face ? 'forehead' : 'middle band'],
      fades: fades.value,
    })
  const host = hosts.value.at(-1)
  if (host) put({ by: 'step', step: host.id, strips: null, fades: fades.value })
  else notices.refuse('Nothing lies there yet: lay a base before this stencil first.')
}
function toggleZone(id: ZoneId): void {
  const { part } = props.pass
  if (part?.by !== 'zones') return
  const zones = part.zones.includes(id) ? part.zones.filter(z => z !== id) : [...part.zones, id]
  if (zones.length) put({ ...part, zones })
}
/** The cake of the step that the pass keeps to, when that lies in strips. */
const cake = computed(() => {
  const { part } = props.pass
  const host = part?.by === 'step' ? hosts.value.find(h => h.id === part.step) : undefined
  return isKind('pull', host) && host.load.kind === 'cake' && host.manner !== 'stamped' ? host.load : null
})
const strips = computed(() => {
  const { part } = props.pass
  const all = (cake.value?.strips ?? cake.value?.cake.strips.map((_, n) => n) ?? []).map((_, n) => n)
  return part?.by === 'step' ? (part.strips ?? all) : []
})
const shown = computed(() => {
  const { value } = cake
  return value ? (value.strips?.map(n => value.cake.strips[n]!) ?? value.cake.strips) : []
})
function toggleStrip(n: number): void {
  const { part } = props.pass
  if (part?.by !== 'step') return
  const next = strips.value.includes(n)
    ? strips.value.filter(k => k !== n)
    : [...strips.value, n].sort((a, b) => a - b)
  if (next.length) put({ ...part, strips: next.length === shown.value.length ? null : next })
}
</script>

<template>
  <div class="space-y-1.5">
    <select
      class="field"
      :value="pass.part?.by ?? 'all'"
      :aria-label="`Where layer ${index + 1} is dabbed`"
      @change="choose(($event.target as HTMLSelectElement).value)"
    >
      <option value="all">all over the stencil</option>
      <option value="shape">only in a drawn shape</option>
      <option value="zones">only on some zones</option>
      <option value="step">only where an earlier step lies</option>
    </select>
    <template v-if="pass.part">
      <button
        v-if="pass.part.by === 'shape'"
        class="btn px-2 text-[0.87rem]"
        :aria-pressed="drawing.asked?.id === asking"
        @click="draw"
      >
        <PenLine :size="14" />Draw it anew
      </button>
      <div v-else-if="pass.part.by === 'zones'" class="flex flex-wrap gap-1">
        <button
          v-for="id in scene.ground.zones"
          :key="id"
          class="chip"
          :aria-pressed="pass.part.zones.includes(id)"
          @click="toggleZone(id)"
        >
          {{ zoneWords(id) }}
        </button>
      </div>
      <template v-else>
        <select
          class="field"
          :value="pass.part.step"
          aria-label="Where it lies"
          @change="
            put({
              by: 'step',
              step: ($event.target as HTMLSelectElement).value,
              strips: null,
              fades: pass.part.fades,
            })
          "
        >
          <option v-for="h in hosts" :key="h.id" :value="h.id">{{ h.label }}</option>
          <option v-if="!hosts.some(h => pass.part?.by === 'step' && h.id === pass.part.step)" disabled>
            a step that is gone
          </option>
        </select>
        <StripButtons v-if="cake" :strips="shown" :taken="strips" @toggle="toggleStrip" />
      </template>
      <NumberField
        :model-value="pass.part.fades"
        label="fades out over"
        unit="mm"
        :least="0"
        :most="25"
        @update:model-value="fades => pass.part && put({ ...pass.part, fades }, 'part-fades')"
      />
    </template>
  </div>
</template>
