<script setup lang="ts">
import { ArrowRight } from '@lucide/vue'

const r = useReading()
const cards = useCards()
</script>

<template>
  <div
    v-if="r.opened"
    class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] max-lg:auto-rows-max lg:grid-cols-[minmax(0,1fr)_320px] gap-4"
  >
    <div class="min-h-[50dvh] rounded-2xl border border-rule bg-stage p-2 lg:min-h-0">
      <CornerStage
        v-model:points="r.points"
        v-model:pair="r.pair"
        :url="r.url"
        :width="r.opened.width"
        :height="r.opened.height"
        :closed="true"
        :labels="
          ['Upper left', 'Upper right', 'Lower right', 'Lower left'].map(
            w => `${w} ${r.size.by === 'card' ? 'cross' : 'corner'}`,
          )
        "
      />
    </div>
    <aside class="flex flex-col gap-4 overflow-y-auto">
      <p
        role="status"
        class="text-[0.95rem]"
        :class="(!r.opened.found || r.opened.found.cutOff.length > 0) && r.size.by !== 'card' && 'text-care'"
      >
        {{ r.said }}
      </p>
      <SizePanel v-model="r.size" :guess="r.guess" @print="cards.calibration()" />
      <div class="mt-auto flex gap-2">
        <label class="btn cursor-pointer"
          >Another picture<input
            type="file"
            accept="image/jpeg,image/png,image/webp"
            class="sr-only"
            aria-label="Another picture"
            @change="
              (r.take(($event.target as HTMLInputElement).files),
              (($event.target as HTMLInputElement).value = ''))
            "
        /></label>
        <button class="btn-main" :disabled="r.busy" @click="r.prepare()">
          Read it<ArrowRight :size="16" />
        </button>
      </div>
    </aside>
  </div>
</template>
