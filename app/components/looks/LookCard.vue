<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Ellipsis, Layers2 } from '@lucide/vue'
import type { LookCardData } from '~~/server/utils/cards'

const props = defineProps<{
  look: LookCardData
  /** How many other tries lie under it. */
  tries: number
  /** Whether its family is laid out. */
  open: boolean
}>()
const emit = defineEmits<{ rename: [name: string]; duplicate: []; remove: []; toggle: []; keep: [] }>()
const naming = ref(false)
/** Held apart from the card, which is drawn anew when its picture comes in. */
const typed = ref('')
const box = useTemplateRef<HTMLInputElement>('box')
const moreButton = useTemplateRef<InstanceType<typeof MenuButton>>('moreButton')

/** A right press anywhere on the card opens its menu. */
function openMenu(): void {
  const button = moreButton.value?.$el as HTMLElement | undefined
  button?.click()
  button?.focus()
}
async function begin(): Promise<void> {
  typed.value = props.look.name
  naming.value = true
  await nextTick()
  box.value?.select()
}
function finish(): void {
  if (!naming.value) return
  naming.value = false
  const name = typed.value.trim()
  if (name && name !== props.look.name) emit('rename', name)
}
</script>

<template>
  <li
    class="group relative overflow-hidden rounded-2xl border bg-card transition-shadow hover:shadow-lg"
    :class="[
      open ? 'border-mulberry' : 'border-rule',
      tries &&
        !open &&
        'mr-2 mb-2 shadow-[4px_4px_0_-1px_var(--color-card),4px_4px_0_0_var(--color-rule),8px_8px_0_-1px_var(--color-card),8px_8px_0_0_var(--color-rule)]',
    ]"
    :data-look="look.id"
    @contextmenu.prevent="openMenu"
  >
    <NuxtLink
      :to="`/looks/${look.id}`"
      :aria-label="`Open ${look.name}`"
      class="relative block aspect-[208/250] overflow-hidden bg-stage"
    >
      <img
        v-if="look.picture"
        :src="`/api/looks/${look.id}/card.png?key=${look.picture}`"
        :alt="`${look.name}, painted`"
        class="size-full object-cover object-top transition-transform duration-300 group-hover:scale-[1.03]"
      />
      <span
        v-if="look.damaged || look.awaits || !look.picture"
        class="absolute bottom-2 left-1/2 -translate-x-1/2 rounded-full bg-ink/85 px-3 py-0.5 text-sm whitespace-nowrap text-paper"
        >{{ look.damaged ? 'damaged' : look.awaits ? 'painting…' : 'no picture' }}</span
      >
    </NuxtLink>
    <span v-if="tries || open" class="absolute top-2 right-2 left-2 flex gap-1.5">
      <span class="rounded-full bg-ink/85 px-2.5 font-display text-lg text-paper">{{ look.letter }}</span>
      <template v-if="tries"
        ><button class="btn ml-auto px-2 py-0.5" :aria-expanded="open" @click="emit('toggle')">
          <Layers2 :size="15" />{{ tries + 1 }} tries</button
        ><NuxtLink :to="`/looks/${look.id}/tries`" class="btn px-2 py-0.5">Compare</NuxtLink></template
      >
    </span>
    <div class="p-3">
      <div class="flex items-center gap-1">
        <input
          v-if="naming"
          ref="box"
          v-model="typed"
          class="field font-display text-lg font-semibold"
          maxlength="80"
          aria-label="New name"
          @blur="finish"
          @keydown.enter="finish"
          @keydown.esc="naming = false"
        />
        <h2 v-else class="min-w-0 flex-1 truncate font-display text-lg font-semibold">
          <NuxtLink class="inline-block min-h-[24px]" :to="`/looks/${look.id}`">{{ look.name }}</NuxtLink>
        </h2>
        <Menu as="div" class="relative">
          <MenuButton ref="moreButton" class="icon-btn" :aria-label="`More for ${look.name}`"
            ><Ellipsis :size="18"
          /></MenuButton>
          <MenuItems
            ><FloatingPanel :anchor="moreButton" class="w-40 p-1">
              <MenuItem
                v-for="[words, act] in [
                  ['Rename', begin],
                  ['Duplicate', () => emit('duplicate')],
                  ...(look.kept ? [] : [['Make it the look', () => emit('keep')]]),
                  ['Delete', () => emit('remove')],
                ] as [string, () => void][]"
                :key="words"
                v-slot="{ active }"
                ><button
                  class="block w-full rounded-lg px-3 py-1 text-left"
                  :class="active && 'bg-mulberry-wash'"
                  @click="act"
                >
                  {{ words }}
                </button></MenuItem
              >
            </FloatingPanel></MenuItems
          >
        </Menu>
      </div>
      <p v-if="look.why && open" class="truncate text-[0.92rem]">{{ look.why }}</p>
      <p class="text-[0.87rem] text-soft">
        {{ look.awaits && look.seconds !== null ? 'was about' : 'about' }}
        {{ look.seconds === null ? '–:––' : clock(look.seconds) }} min <EstimateMark />, {{ look.sheets }}
        {{ look.sheets === 1 ? 'stencil' : 'stencils' }}, {{ look.canvas }}, {{ look.age }}&nbsp;y
      </p>
      <p class="mt-1.5 flex min-h-6 flex-wrap gap-1">
        <span v-for="tag in look.tags" :key="tag" class="rounded-full bg-stage px-2 text-[0.8rem]">{{
          tag
        }}</span>
      </p>
    </div>
  </li>
</template>
