<script setup lang="ts">
import type { PaintRef, Pass } from '#core/look'
import { Plus, RotateCw, X } from '@lucide/vue'

const load = defineModel<Pass['load']>({ required: true })
const props = defineProps<{ label: string }>()
const kit = useKit()
const kinds = computed(
  () =>
    [
      ['one', 'one colour'],
      ['over', 'a second colour over it'],
      ...(kit.cakes.length ? [['cake', 'a split cake']] : []),
    ] as [Pass['load']['kind'], string][],
)

function choose(kind: Pass['load']['kind']): void {
  const now = load.value
  const first = now.kind === 'one' ? now.paint : now.kind === 'over' ? now.first : kit.refOf(kit.singles[0]!)
  const direction = now.kind === 'one' ? 180 : now.direction
  if (kind === 'one') load.value = { kind, paint: first }
  else if (kind === 'over')
    load.value = { kind, first, second: kit.refOf(kit.singles.find(p => p.id !== first.id)!), direction }
  else load.value = { kind: 'cake', cake: kit.cakeRefOf(kit.cakes[0]!), direction, bands: true }
}
/** Colours after the second one; where each lies is told anew once there are more or fewer. */
function putMore(change: (more: PaintRef[]) => void): void {
  if (load.value.kind !== 'over') return
  const { stops: _, more: before, ...rest } = load.value
  const more = [...(before ?? [])]
  change(more)
  load.value = { ...rest, ...(more.length && { more }) }
}
const unused = ({ id }: { id: string }) =>
  load.value.kind === 'over' &&
  ![load.value.first, load.value.second, ...(load.value.more ?? [])].some(p => p.id === id)
const turn = () => {
  if (load.value.kind !== 'one') load.value = { ...load.value, direction: (load.value.direction + 45) % 360 }
}
/** A sponge lays its cake band beside band, unless it is drawn across the sheet once. */
function setBands(bands: boolean): void {
  if (load.value.kind === 'cake') load.value = { ...load.value, bands }
}
const words: Record<number, string> = {
  0: 'up',
  45: 'up right',
  90: 'right',
  135: 'down right',
  180: 'down',
  225: 'down left',
  270: 'left',
  315: 'up left',
}
const strips = computed(() =>
  load.value.kind === 'cake' ? (kit.find(load.value.cake.id)?.strips ?? load.value.cake.strips) : [],
)
</script>

<template>
  <div class="space-y-1">
    <div class="flex items-center gap-1.5">
      <PaintPicker
        v-if="load.kind === 'one'"
        :model-value="load.paint"
        :label="props.label"
        @update:model-value="
          paint => {
            load = { kind: 'one', paint }
          }
        "
      />
      <PaintPicker
        v-else-if="load.kind === 'over'"
        :model-value="load.first"
        :label="props.label"
        @update:model-value="
          first => {
            if (load.kind === 'over') load = { ...load, first }
          }
        "
      />
      <select
        v-else
        class="field min-w-0 flex-1"
        :value="load.cake.id"
        :aria-label="props.label"
        @change="
          load = {
            kind: 'cake',
            cake: kit.cakeRefOf(kit.find(($event.target as HTMLSelectElement).value)!),
            direction: load.kind === 'cake' ? load.direction : 180,
          }
        "
      >
        <option v-for="c in kit.cakes" :key="c.id" :value="c.id">{{ c.name }}</option>
        <option v-if="!kit.find(load.cake.id)" :value="load.cake.id">{{ load.cake.name }}</option>
      </select>
    </div>
    <div v-if="load.kind === 'over'" class="flex items-center gap-1.5">
      <span class="text-[0.87rem] text-soft">into</span
      ><PaintPicker
        :model-value="load.second"
        :label="`${props.label}, second`"
        @update:model-value="
          second => {
            if (load.kind === 'over') load = { ...load, second }
          }
        "
      />
    </div>
    <template v-if="load.kind === 'over'">
      <div v-for="(colour, i) in load.more ?? []" :key="i" class="flex items-center gap-1.5">
        <span class="text-[0.87rem] text-soft">into</span
        ><PaintPicker
          :model-value="colour"
          :label="`${props.label}, colour ${i + 3}`"
          @update:model-value="paint => putMore(more => void more.splice(i, 1, paint))"
        /><button
          class="icon-btn"
          :aria-label="`Take colour ${i + 3} out`"
          @click="putMore(more => void more.splice(i, 1))"
        >
          <X :size="15" />
        </button>
      </div>
      <button
        v-if="(load.more?.length ?? 0) < 3"
        class="btn text-[0.87rem]"
        @click="putMore(more => void more.push(kit.refOf(kit.singles.find(unused) ?? kit.singles[0]!)))"
      >
        <Plus :size="14" />Another colour
      </button>
      <StopsField
        :stops="load.stops"
        :count="2 + (load.more?.length ?? 0)"
        @put="
          stops => {
            if (load.kind === 'over') load = { ...load, stops }
          }
        "
      />
    </template>
    <div
      v-if="load.kind === 'cake'"
      class="flex h-3 overflow-hidden rounded-full border border-rule"
      aria-hidden="true"
    >
      <span v-for="(s, i) in strips" :key="i" :style="{ background: s.colour, flexGrow: s.width }" />
    </div>
    <SwitchField
      v-if="load.kind === 'cake'"
      :model-value="load.bands ?? false"
      label="Bands of the sponge's width"
      @update:model-value="setBands"
    />
    <div class="flex items-center gap-1.5">
      <select
        class="field min-w-0 flex-1 text-[0.87rem]"
        :value="load.kind"
        :aria-label="`${props.label}, how it is loaded`"
        @change="choose(($event.target as HTMLSelectElement).value as Pass['load']['kind'])"
      >
        <option v-for="[kind, text] in kinds" :key="kind" :value="kind">{{ text }}</option>
      </select>
      <button
        v-if="load.kind !== 'one'"
        class="btn px-2 text-[0.87rem]"
        v-tip="'Which way the colours run on the stencil'"
        @click="turn"
      >
        <RotateCw :size="14" />{{ words[load.direction] ?? `${load.direction}°` }}
      </button>
    </div>
  </div>
</template>
