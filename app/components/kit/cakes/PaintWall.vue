<script setup lang="ts">
import { Search } from '@lucide/vue'
import { VueDraggable } from 'vue-draggable-plus'
import type { Paint, Strip } from '#core/paint'

/** The single colours of the kit: pressed or dragged, one becomes a strip. */
const emit = defineEmits<{ take: [strip: Strip] }>()
const kit = useKit()
const search = ref('')
const shown = computed(() =>
  kit.singles.filter(p => `${p.name} ${p.finish}`.toLowerCase().includes(search.value.toLowerCase().trim())),
)
/** A strip cut from it is a thing of its own. */
const clone = (p: Paint): Strip => stripOf(p)
</script>

<template>
  <section class="min-w-0" aria-label="Paints to cut from">
    <label class="relative block"
      ><Search :size="15" class="absolute top-2 left-2.5 text-soft" /><input
        v-model="search"
        class="field pl-8!"
        type="search"
        placeholder="Name or finish"
        aria-label="Search paints to cut from"
    /></label>
    <VueDraggable
      :model-value="shown"
      :group="{ name: 'strips', pull: 'clone', put: false }"
      :sort="false"
      :clone
      class="mt-2 grid max-h-[36vh] lg:max-h-[calc(100vh-15rem)] grid-cols-[repeat(auto-fill,minmax(96px,1fr))] gap-1.5 overflow-y-auto pr-1"
    >
      <button
        v-for="p in shown"
        :key="p.id"
        type="button"
        class="overflow-hidden rounded-lg border border-rule bg-card text-left hover:border-mulberry"
        :data-cut="p.id"
        :aria-label="`Add a strip of ${p.name}`"
        @click="emit('take', stripOf(p))"
      >
        <span class="block h-6" :style="{ background: p.colour }" />
        <span class="block truncate px-1.5 py-0.5 text-[0.8rem]">{{ p.name }}</span>
      </button>
    </VueDraggable>
    <div v-if="!shown.length" class="p-3 text-center text-soft">
      {{
        kit.singles.length
          ? 'No paint is called that.'
          : 'No single colours in the kit yet: add paints first.'
      }}
      <BringDemo v-if="!kit.paints.length" class="mt-2" @brought="kit.load" />
    </div>
  </section>
</template>
