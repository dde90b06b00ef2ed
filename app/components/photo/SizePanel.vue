<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { PAPERS, type FrameOf, type PaperName } from '#core/photo'

/** How the picture's millimetres are known. */
export interface Size {
  by: 'sides' | 'distance' | 'card'
  of: FrameOf
  width: number | null
  height: number | null
  mm: number | null
  bar: number
}
const size = defineModel<Size>({ required: true })
defineProps<{ guess: string }>()
const emit = defineEmits<{ print: [] }>()
const ways = {
  sides: 'Its sides',
  distance: 'Two points',
  card: 'Calibration card',
} as const
function paper(name: PaperName, lying: boolean): void {
  const [short, long] = PAPERS[name]
  size.value = { ...size.value, width: lying ? long : short, height: lying ? short : long }
}
</script>

<template>
  <section class="space-y-3" aria-label="Size">
    <ChipChoice
      :model-value="size.by"
      label="The size is known by"
      :options="ways"
      @update:model-value="size = { ...size, by: $event }"
    />
    <template v-if="size.by !== 'card'">
      <div>
        <ChipChoice
          :model-value="size.of"
          label="The four corners are those of"
          :options="{ sheet: 'the stencil', ground: 'the paper under it' }"
          @update:model-value="size = { ...size, of: $event }"
        />
        <p class="mt-1 text-sm text-soft">
          {{
            size.of === 'sheet'
              ? 'For one stencil with four straight sides.'
              : 'For stencils of any shape, or several at once, lying on a sheet of paper.'
          }}
        </p>
      </div>
    </template>
    <template v-if="size.by === 'sides'">
      <div class="flex items-end gap-2">
        <label class="flex-1"
          ><span class="eyebrow">Upper side, mm</span
          ><NumberInput
            :model-value="size.width"
            :min="15"
            :max="500"
            :step="0.5"
            clearable
            @update:model-value="v => (size = { ...size, width: v })"
        /></label>
        <label class="flex-1"
          ><span class="eyebrow">Left side, mm</span
          ><NumberInput
            :model-value="size.height"
            :min="15"
            :max="500"
            :step="0.5"
            clearable
            @update:model-value="v => (size = { ...size, height: v })"
        /></label>
      </div>
      <p v-if="guess" class="text-sm text-soft">{{ guess }}</p>
      <div class="flex flex-wrap gap-1">
        <template v-for="(_, name) in PAPERS" :key="name">
          <button class="chip" @click="paper(name, false)">{{ name }} portrait</button>
          <button class="chip" @click="paper(name, true)">{{ name }} landscape</button>
        </template>
      </div>
    </template>
    <template v-else-if="size.by === 'distance'">
      <p class="text-sm text-soft">
        For scans, and pictures from straight above. Drag the two blue points to two places whose distance you
        know, such as 0 and 100 mm of a ruler.
      </p>
      <label class="block"
        ><span class="eyebrow">Distance between the blue points, mm</span
        ><NumberInput
          :model-value="size.mm"
          :min="5"
          :max="500"
          :step="0.5"
          clearable
          @update:model-value="v => (size = { ...size, mm: v })"
      /></label>
      <div class="flex gap-1">
        <button v-for="mm in [50, 100, 150, 200]" :key="mm" class="chip" @click="size = { ...size, mm }">
          {{ mm }} mm
        </button>
      </div>
    </template>
    <template v-else>
      <label class="block"
        ><span class="eyebrow">The card's bar measures, mm</span
        ><NumberInput
          :model-value="size.bar"
          :min="80"
          :max="120"
          :step="0.1"
          @update:model-value="bar => (size = { ...size, bar: bar! })"
      /></label>
      <p class="text-sm text-soft">
        100 when the printer is true. Stencils of any shape may lie on the card.
      </p>
    </template>
    <button class="btn" @click="emit('print')"><Printer :size="16" />Print the calibration card</button>
  </section>
</template>
