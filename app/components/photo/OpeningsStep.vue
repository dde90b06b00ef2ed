<script setup lang="ts">
import { ArrowLeft, ArrowRight } from '@lucide/vue'
import { READ_CHOICES } from '#core/photo'

const r = useReading()
</script>

<template>
  <div
    v-if="r.flat"
    class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] max-lg:auto-rows-max lg:grid-cols-[minmax(0,1fr)_320px] gap-4"
  >
    <div class="min-h-[50dvh] rounded-2xl border border-rule bg-stage p-2 lg:min-h-0">
      <OpeningStage
        :flat="r.flat"
        :url="r.flatUrl"
        :level="r.choices.level"
        :show="r.show"
        :sheets="r.reading?.sheets ?? []"
      />
    </div>
    <aside class="flex flex-col gap-4 overflow-y-auto">
      <p role="status">
        <template v-if="r.reading"
          ><strong>{{ r.open }} {{ r.open === 1 ? 'opening' : 'openings' }}</strong
          ><template v-if="r.reading.sheets.length > 1"> on {{ r.reading.sheets.length }} stencils</template>.
          Edges are {{ r.reading.edgeMm.toFixed(2) }} mm wide in the picture<template
            v-if="r.reading.edgeMm > 0.55"
            >: a sharper one would show finer bridges</template
          ><template v-if="r.reading.dropped">; {{ r.reading.dropped }} specks left out</template>.</template
        ><template v-else>Nothing could be read yet.</template>
      </p>
      <ChipChoice
        v-model="r.show"
        label="Show"
        quiet
        :options="{ picture: 'picture', mask: 'what is open', outlines: 'outlines' }"
      />
      <div>
        <label class="block"
          ><span class="eyebrow">Threshold</span
          ><input
            v-model.number="r.choices.level"
            type="range"
            min="0.15"
            max="0.85"
            step="0.01"
            class="w-full accent-mulberry"
            aria-label="Threshold"
            @input="r.show = 'mask'"
            @change="r.read()"
        /></label>
        <svg viewBox="0 0 64 20" preserveAspectRatio="none" class="h-12 w-full" aria-hidden="true">
          <rect
            v-for="(n, i) in r.flat.histogram"
            :key="i"
            :x="i"
            :width="0.9"
            :y="20 - 20 * Math.sqrt(n / Math.max(...r.flat.histogram))"
            :height="20 * Math.sqrt(n / Math.max(...r.flat.histogram))"
            fill="#9C9488"
          />
          <line
            :x1="32 * (r.choices.level + 0.5)"
            :x2="32 * (r.choices.level + 0.5)"
            y1="0"
            y2="20"
            stroke="#7A2E5D"
            stroke-width="0.6"
          />
          <line
            :x1="32 * (r.flat.otsu + 0.5)"
            :x2="32 * (r.flat.otsu + 0.5)"
            y1="12"
            y2="20"
            stroke="#0B7285"
            stroke-width="0.6"
          />
        </svg>
        <p class="text-sm text-soft">
          Left is stencil, right is open. It stands in the middle between the two; the blue line is where
          Otsu's method parts them.
        </p>
        <button
          v-if="r.choices.level !== READ_CHOICES.level"
          class="btn mt-1"
          @click="((r.choices.level = READ_CHOICES.level), r.read())"
        >
          Back to the middle
        </button>
      </div>
      <label class="block"
        ><span class="eyebrow">Leave out what is smaller than, mm²</span
        ><NumberInput
          :model-value="r.choices.speck"
          class="w-24!"
          :min="0.02"
          :max="20"
          :step="0.05"
          @update:model-value="speck => ((r.choices.speck = speck!), r.read())"
      /></label>
      <ChipChoice
        :model-value="r.flat.darkSheet ? 'dark' : 'light'"
        label="The stencil is"
        :disabled="r.busy"
        :options="{ dark: 'the darker', light: 'the lighter' }"
        @update:model-value="r.swap($event === 'dark')"
      />
      <div class="mt-auto flex gap-2">
        <button class="btn" @click="r.step = 0"><ArrowLeft :size="16" />Back</button>
        <button class="btn-main" :disabled="r.busy || !r.reading" @click="r.byHand()">
          Go on<ArrowRight :size="16" />
        </button>
      </div>
    </aside>
  </div>
</template>
