<script setup lang="ts">
import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Dialog,
  DialogPanel,
} from '@headlessui/vue'
import { Search } from '@lucide/vue'
import type { Doing } from '~/composables/useCommands'

/** Everything that can be done here, by its name. */
const open = defineModel<boolean>('open', { required: true })
const commands = useCommands()
const theme = useTheme()
const words = ref('')
offerCommands(() => [
  { words: 'Go to the looks', run: () => navigateTo('/') },
  { words: 'Go to the drawer', run: () => navigateTo('/drawer') },
  { words: 'Go to the kit', run: () => navigateTo('/kit') },
  { words: 'Go to the log', run: () => navigateTo('/log') },
  { words: 'Settings', run: () => navigateTo('/settings') },
  { words: 'A stencil from a photograph', run: () => navigateTo('/drawer/photo') },
  { words: 'Draw a stencil', run: () => navigateTo('/drawer/draw') },
  { words: 'Take the tour', run: openTour },
  { words: theme.dark.value ? 'Light theme' : 'Dark theme', run: theme.toggle },
])
/** As many are shown at once: more are found by typing. */
const MOST = 60
const found = computed(() => {
  const parts = words.value.toLowerCase().split(/\s+/).filter(Boolean)
  return commands.value.filter(c => parts.every(part => c.words.toLowerCase().includes(part))).slice(0, MOST)
})
watch(open, () => {
  words.value = ''
})
async function run(command: Doing | null): Promise<void> {
  if (!command) return
  open.value = false
  // The dialog gives the focus back first, so that what opens next can take it.
  await nextTick()
  await command.run()
}
</script>

<template>
  <Dialog :open="open" class="relative z-50" aria-label="Commands" @close="open = false">
    <div class="fixed inset-0 bg-black/40" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center p-3 pt-[10dvh]">
      <DialogPanel class="w-full max-w-xl overflow-hidden rounded-2xl border border-rule bg-paper shadow-2xl">
        <Combobox :model-value="null" @update:model-value="run">
          <label class="relative block border-b border-rule"
            ><Search :size="17" class="absolute top-3.5 left-4 text-soft" /><ComboboxInput
              class="w-full bg-transparent py-3 pr-4 pl-11 text-lg outline-none"
              placeholder="What do you want to do?"
              aria-label="Find a command"
              autocomplete="off"
              @change="words = $event.target.value"
              @keydown.esc="open = false"
          /></label>
          <ComboboxOptions static class="max-h-[55dvh] overflow-y-auto p-2">
            <ComboboxOption v-for="c in found" :key="c.words" v-slot="{ active }" :value="c" as="template">
              <li
                class="flex min-h-9 cursor-pointer items-center gap-3 rounded-lg px-3 py-1"
                :class="active && 'bg-mulberry-wash text-mulberry'"
              >
                <span class="flex-1">{{ c.words }}</span><kbd
                  v-if="c.keys"
                  class="rounded-md border border-rule bg-card px-1.5 font-sans text-sm"
                  >{{ c.keys }}</kbd
                >
              </li>
            </ComboboxOption>
          </ComboboxOptions>
          <p v-if="!found.length" class="px-5 pb-4 text-soft">Nothing here is called that.</p>
        </Combobox>
      </DialogPanel>
    </div>
  </Dialog>
</template>
