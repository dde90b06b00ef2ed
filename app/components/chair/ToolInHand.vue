<script setup lang="ts">
import type { ToolInHand } from '#core/chair'

/** Colours as large swatches with the tool and how wet, and the dabs as dots to be counted off. */
const props = defineProps<{ hand: ToolInHand }>()
const kit = useKit()
const counted = ref(0)
watch(
  () => props.hand,
  () => {
    counted.value = 0
  },
)
const swatches = computed(() =>
  props.hand.paints.map(p => ({ name: p.name, css: swatchOf(kit.find(p.id) ?? p) })),
)
const WET = { chalky: 1, tacky: 2, damp: 3, runny: 4 } as const
</script>

<template>
  <section class="flex items-center gap-3">
    <div v-if="swatches.length" class="flex shrink-0 overflow-hidden rounded-xl border-2 border-rule">
      <span
        v-for="(s, i) in swatches"
        :key="i"
        class="h-16"
        :class="swatches.length > 2 ? 'w-8' : swatches.length > 1 ? 'w-10' : 'w-20'"
        :style="{ background: s.css }"
      />
    </div>
    <div class="min-w-0 flex-1 leading-snug">
      <strong class="block">{{ swatches.map(s => s.name).join(' + ') || hand.tool }}</strong>
      <span class="flex flex-wrap items-center gap-x-1.5"
        ><span v-if="swatches.length">{{ hand.tool }}{{ hand.wetness ? ',' : '' }}</span
        ><template v-if="hand.wetness"
          ><b>{{ hand.wetness }}</b
          ><span class="flex gap-0.5" aria-hidden="true"
            ><i
              v-for="n in 4"
              :key="n"
              class="inline-block h-3 w-2 rounded-full border border-mulberry"
              :class="n <= WET[hand.wetness] && 'bg-mulberry'" /></span></template
        ><span v-if="hand.words">{{ hand.words }}</span></span
      >
      <span v-if="hand.dabs" class="mt-1 flex flex-wrap items-center gap-1.5">
        <b>{{ hand.dabs }} ×</b>
        <button
          v-for="n in hand.dabs"
          :key="n"
          class="size-7 rounded-full border-2 border-mulberry"
          :class="n <= counted ? 'bg-mulberry' : 'bg-transparent'"
          :aria-label="`${n} of ${hand.dabs} over`"
          :aria-pressed="n <= counted"
          @click="counted = counted === n ? n - 1 : n"
        />
      </span>
    </div>
  </section>
</template>
