<script setup lang="ts">
import { ArrowLeft, ArrowRight } from '@lucide/vue'

const r = useReading()
</script>

<template>
  <div
    v-if="r.current"
    class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] max-lg:auto-rows-max lg:grid-cols-[minmax(0,1fr)_300px] gap-4"
  >
    <DraftEditor :key="r.sheet" :history="r.current" :photo="r.under" />
    <aside class="flex flex-col gap-4 overflow-y-auto">
      <div v-if="r.histories.length > 1">
        <h2 class="eyebrow">Stencils on the picture</h2>
        <div class="mt-1 flex flex-wrap gap-1">
          <button
            v-for="(h, i) in r.histories"
            :key="i"
            class="chip"
            :aria-pressed="r.sheet === i"
            @click="r.sheet = i"
          >
            {{ i + 1 }}: {{ h.draft.value!.openings.length }} openings
          </button>
        </div>
      </div>
      <p>
        {{ r.current.draft.value!.openings.length }} openings on
        {{ r.current.draft.value!.width.toFixed(1) }} × {{ r.current.draft.value!.height.toFixed(1) }} mm.
      </p>
      <div v-if="r.offers.length" class="space-y-2">
        <h2 class="eyebrow">Could be made even</h2>
        <button
          v-for="o in r.offers"
          :key="o.kind"
          class="block w-full rounded-xl border border-rule bg-card p-2 text-left hover:border-mulberry"
          :data-offer="o.kind"
          @click="r.current.put(o.draft, o.words.toLowerCase())"
        >
          {{ o.words
          }}<span class="block text-sm text-soft">moves points by up to {{ o.moves.toFixed(2) }} mm</span>
        </button>
      </div>
      <p v-else class="text-sm text-soft">Nothing is nearly even that is not so already.</p>
      <div class="mt-auto flex gap-2">
        <button class="btn" @click="r.step = 1"><ArrowLeft :size="16" />Back</button>
        <button class="btn-main" @click="$event.detail < 2 && (r.step = 3)">
          Go on<ArrowRight :size="16" />
        </button>
      </div>
    </aside>
  </div>
</template>
