<script setup lang="ts">
import { tenth } from '#core/geometry'
import { FlipHorizontal2, LocateFixed } from '@lucide/vue'
import { placementOf, placeWords, printedMiddle, type SheetStep } from '#core/look'
import { layOn } from '#core/skin'

const props = defineProps<{ step: SheetStep }>()
const selection = useSelection()
const scene = useScene()
const placing = usePlacing()
/** What the hand holds: the sheet, or its unlinked twin. */
const held = computed(() => (selection.holdsTwin ? props.step.twin.own : null) ?? placementOf(props.step))
const words = computed(() => placeWords(props.step, held.value, scene.world))
const middle = computed(() => layOn(scene.ground.surface, held.value).point([0, 0]).map(tenth))

/** Lays the middle of what is printed on the midline, or on a landmark. */
function snap(event: Event): void {
  const box = event.target as HTMLSelectElement
  const mark = scene.ground.marks.find(m => m.id === box.value)
  const lies = layOn(scene.ground.surface, held.value).point(printedMiddle(props.step, scene.world))
  const to = mark?.at ?? [0, lies[1]]
  placing.place('lay it on a feature', s => {
    s.at = [tenth(s.at[0] + to[0]! - lies[0]), tenth(s.at[1] + to[1]! - lies[1])]
  })
  box.value = ''
}

function typed(
  value: number,
  apply: (s: { at: [number, number]; tilt: number }, value: number) => void,
): void {
  placing.place('place', s => apply(s, tenth(value)))
}
</script>

<template>
  <div class="space-y-1.5">
    <p
      v-if="selection.holdsTwin"
      class="rounded-md bg-mulberry-wash px-2 py-0.5 text-[0.87rem] text-mulberry"
    >
      The unlinked twin is in hand.
      <button class="font-semibold underline" @click="selection.holdsTwin = false">
        Take the stencil itself
      </button>
    </p>
    <p class="leading-snug" data-testid="where">
      {{ words.where }}.
      <span class="text-soft">{{ words.turned.replace(/^./, c => c.toUpperCase()) }}.</span>
    </p>
    <div
      v-if="scene.seating.length"
      class="space-y-1 rounded-lg border border-rule bg-card px-2 py-1 text-[0.87rem] leading-snug"
      data-testid="seating"
    >
      <p v-for="(s, i) in scene.seating" :key="i">
        <strong
          >{{ scene.seating.length === 1 ? '' : i ? 'Twin: ' : 'Stencil: '
          }}{{ Math.round(100 * s.seated) }} % touches the skin by itself,
          {{ Math.round(100 * s.seatedPressed) }} % pressed down where you dab.</strong
        >
        {{ s.sentence }} <EstimateMark v-if="i === 0" />
      </p>
    </div>
    <label v-if="scene.ground.face" class="block text-[0.87rem]"
      >lay it on<select class="field" aria-label="Lay it on" value="" @change="snap">
        <option value="" disabled>a feature…</option>
        <option value="midline">the midline, at this height</option>
        <option v-for="mark in scene.ground.marks" :key="mark.id" :value="mark.id">{{ mark.words }}</option>
      </select></label
    >
    <div class="grid grid-cols-3 gap-1.5 text-[0.87rem]">
      <label
        >across, mm<NumberInput
          :model-value="middle[0]!"
          :min="-400"
          :max="400"
          :step="0.5"
          label="Across, mm"
          @update:model-value="
            typed($event!, (s, v) => {
              s.at[0] = v
            })
          "
      /></label>
      <label
        >down, mm<NumberInput
          :model-value="middle[1]!"
          :min="-400"
          :max="400"
          :step="0.5"
          label="Down, mm"
          @update:model-value="
            typed($event!, (s, v) => {
              s.at[1] = v
            })
          "
      /></label>
      <label
        >tilt, °<NumberInput
          :model-value="Math.round(held.tilt * 10) / 10"
          :min="-360"
          :max="360"
          :step="1"
          label="Tilt, degrees"
          @update:model-value="
            typed($event!, (s, v) => {
              s.tilt = v
            })
          "
      /></label>
    </div>
    <div class="flex items-center gap-1">
      <TurnButtons @turn="placing.turn" />
      <button class="btn" v-tip="'Flip over (F)'" @click="placing.flip()">
        <FlipHorizontal2 :size="15" />Side {{ held.side }}
      </button>
      <button class="btn" v-tip="'Aim at the focal point (A)'" @click="placing.aim()">
        <LocateFixed :size="15" />Aim
      </button>
    </div>
  </div>
</template>
