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
import { titleAmong } from '#core/look'
import type { LookListed } from '~~/server/db/looks'
import type { Doing } from '~/composables/useCommands'
import { bestNamed } from '~/utils/bestNamed'

/** Everything that can be done here, by its name. */
const open = defineModel<boolean>('open', { required: true })
const commands = useCommands()
const theme = useTheme()
const words = ref('')
offerCommands(() => [
  { id: 'go-looks', words: 'Go to the looks', also: 'gallery home start', run: () => navigateTo('/') },
  {
    id: 'go-drawer',
    words: 'Go to the drawer',
    also: 'stencils collection',
    run: () => navigateTo('/drawer'),
  },
  {
    id: 'go-kit',
    words: 'Go to the kit',
    also: 'paints colours tools brushes cakes glitter',
    run: () => navigateTo('/kit'),
  },
  { id: 'go-log', words: 'Go to the log', also: 'runs times pace history', run: () => navigateTo('/log') },
  {
    id: 'go-settings',
    words: 'Settings',
    also: 'units inches mm currency backup keys room preferences',
    run: () => navigateTo('/settings'),
  },
  {
    id: 'photograph',
    words: 'A stencil from a photograph',
    also: 'import scan photo picture',
    run: () => navigateTo('/drawer/photo'),
  },
  {
    id: 'draw-stencil',
    words: 'Draw a stencil',
    also: 'new make cut',
    run: () => navigateTo('/drawer/draw'),
  },
  { id: 'tour', words: 'Take the tour', also: 'help introduction tutorial', run: openTour },
  {
    id: 'theme',
    words: theme.dark.value ? 'Light theme' : 'Dark theme',
    also: 'night day colours',
    run: theme.toggle,
  },
])
/** As many are shown at once: more are found by typing. */
const MOST = 60
const found = computed(() => bestNamed(words.value, [...commands.value, ...things.value], MOST))
/** Looks, stencils and paints are found by their names as well, once something is typed. */
const things = computed((): readonly Doing[] =>
  words.value.trim().length < 2
    ? []
    : [
        ...looks.value.map(l => ({
          id: `look ${l.id}`,
          words: titleAmong(l, looks.value),
          also: `look open ${l.tags.join(' ')}`,
          run: () => navigateTo(`/looks/${l.id}`),
        })),
        ...drawer.list.map(s => ({
          id: `stencil ${s.id}`,
          words: `${s.name}, stencil`,
          also: `drawer ${s.kind} ${s.tags.join(' ')}`,
          run: () => navigateTo(`/drawer/${s.id}`),
        })),
        ...kit.paints.map(p => ({
          id: `paint ${p.id}`,
          words: `${p.name}, paint`,
          also: `kit colour ${p.finish}`,
          run: () => navigateTo({ path: '/kit', query: { paint: p.id } }),
        })),
      ],
)
const drawer = useDrawer()
const kit = useKit()
const looks = shallowRef<readonly LookListed[]>([])
watch(open, async on => {
  if (!on) return
  looks.value = await $fetch<LookListed[]>('/api/looks').catch(() => [])
  if (!drawer.list.length) await drawer.load().catch(() => {})
  if (!kit.paints.length) await kit.load().catch(() => {})
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
            <ComboboxOption v-for="c in found" :key="c.id" v-slot="{ active }" :value="c" as="template">
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
