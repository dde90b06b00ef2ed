<script setup lang="ts">
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { Check, ChevronDown } from '@lucide/vue'
import type { PaintRef } from '#core/look'

const paint = defineModel<PaintRef>({ required: true })
defineProps<{ label: string }>()
const kit = useKit()
const choose = (id: string) => { paint.value = kit.refOf(kit.find(id)!) }
/** The colours open below the button, which may be where the card ends. */
const vInView = { mounted: (el: HTMLElement) => el.scrollIntoView({ block: 'nearest' }) }
</script>

<template>
  <Listbox :model-value="paint.id" as="div" class="relative min-w-0 flex-1" @update:model-value="choose">
    <ListboxButton class="field flex items-center gap-2 text-left" :aria-label="label">
      <span class="size-4 shrink-0 rounded-full border border-ink/20" :style="{ background: kit.find(paint.id)?.colour ?? paint.colour }" />
      <span class="min-w-0 flex-1 truncate">{{ kit.find(paint.id)?.name ?? paint.name }}</span><ChevronDown :size="14" class="shrink-0 text-soft" />
    </ListboxButton>
    <ListboxOptions as="div" class="outline-none">
      <div v-in-view class="absolute right-0 z-30 mt-1 grid max-h-64 w-64 grid-cols-6 gap-1 overflow-auto rounded-xl border border-rule bg-card p-2 shadow-xl">
        <ListboxOption v-for="p in kit.paints" :key="p.id" v-slot="{ active, selected }" :value="p.id" as="template">
          <div class="relative grid size-8 cursor-pointer place-items-center rounded-lg border" :class="active ? 'border-mulberry ring-2 ring-mulberry' : 'border-ink/15'" :style="{ background: p.colour }" :title="`${p.name}, ${p.finish}`">
            <span class="sr-only">{{ p.name }}</span><Check v-if="selected" :size="15" class="text-white drop-shadow-[0_0_2px_#000]" />
          </div>
        </ListboxOption>
      </div>
    </ListboxOptions>
  </Listbox>
</template>
