<script setup lang="ts">
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { Check, ChevronDown } from '@lucide/vue'
import type { PaintRef } from '#core/look'

const paint = defineModel<PaintRef>({ required: true })
defineProps<{ label: string }>()
const kit = useKit()
const choose = (id: string) => {
  paint.value = kit.refOf(kit.find(id)!)
}
/** Colours in a row of the list. */
const COLUMNS = 6
const button = useTemplateRef<InstanceType<typeof ListboxButton>>('button')
</script>

<template>
  <Listbox :model-value="paint.id" as="div" class="relative min-w-0 flex-1" @update:model-value="choose">
    <ListboxButton
      ref="button"
      class="field flex items-center gap-2 text-left"
      :aria-label="`${label}: ${kit.find(paint.id)?.name ?? paint.name}`"
    >
      <span
        class="size-4 shrink-0 rounded-full border border-ink/20"
        :style="{ background: swatchOf(kit.find(paint.id) ?? paint) }"
      />
      <span class="min-w-0 flex-1 truncate">{{ kit.find(paint.id)?.name ?? paint.name }}</span><ChevronDown
        :size="14"
        class="shrink-0 text-soft"
      />
    </ListboxButton>
    <ListboxOptions as="div" class="outline-none" @keydown.capture="gridKeys($event, COLUMNS)">
      <FloatingPanel
        :anchor="button"
        class="grid w-64 gap-1 p-2"
        :style="{ gridTemplateColumns: `repeat(${COLUMNS}, minmax(0, 1fr))` }"
      >
        <ListboxOption
          v-for="p in kit.paints"
          :key="p.id"
          v-slot="{ active, selected }"
          :value="p.id"
          as="template"
        >
          <div
            class="relative grid size-8 cursor-pointer place-items-center rounded-lg border"
            :class="active ? 'border-mulberry ring-2 ring-mulberry' : 'border-ink/15'"
            :style="{ background: swatchOf(p) }"
            v-tip="`${p.name}, ${p.finish}`"
          >
            <span class="sr-only">{{ p.name }}</span><Check
              v-if="selected"
              :size="15"
              class="text-white drop-shadow-[0_0_2px_#000]"
            />
          </div>
        </ListboxOption>
      </FloatingPanel>
    </ListboxOptions>
  </Listbox>
</template>
