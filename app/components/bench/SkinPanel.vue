<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { ChevronDown } from '@lucide/vue'
import type { Look } from '#core/look'
import { HAIR_CUTS, type HairCut } from '#core/skin'

const session = useSession()
const button = useTemplateRef<InstanceType<typeof PopoverButton>>('button')
const skins = [
  ['#f3d6c2', 'very light'],
  ['#e6bd9e', 'light'],
  ['#d9a98a', 'middle'],
  ['#b07a52', 'tan'],
  ['#84522f', 'brown'],
  ['#4f3222', 'dark'],
] as const
const hairs = [
  ['#c9a66b', 'fair'],
  ['#8a5a33', 'chestnut'],
  ['#3a2a20', 'brown'],
  ['#1c1512', 'black'],
  ['#8c3f1f', 'red'],
  ['#9a938c', 'grey'],
] as const
/** The colour of the irises that a look says nothing of. */
const BROWN = '#6b4a2c'
const irises = [
  [BROWN, 'brown'],
  ['#3f2a1c', 'dark brown'],
  ['#8a7a4a', 'hazel'],
  ['#6e7d55', 'green'],
  ['#7890a2', 'blue'],
  ['#87919a', 'grey'],
] as const
/** What has a colour of its own: how it is read, and how it is put. */
const choices = [
  {
    what: 'Skin',
    colours: skins,
    get: (s: Look['skin']) => s.colour,
    set: (s: Look['skin'], c: string) => {
      s.colour = c
    },
  },
  {
    what: 'Hair',
    colours: hairs,
    get: (s: Look['skin']) => s.hair,
    set: (s: Look['skin'], c: string) => {
      s.hair = c
    },
  },
  {
    what: 'Eyes',
    colours: irises,
    get: (s: Look['skin']) => s.iris ?? BROWN,
    set: (s: Look['skin'], c: string) => {
      s.iris = c === BROWN ? undefined : c
    },
  },
]
const CUT_WORDS: Record<HairCut, string> = {
  'tied back': 'tied back in a knot',
  'short crop': 'short crop',
  'side parting': 'long, parted at the side',
  'band': 'fringe held by a band',
  'curls': 'curls',
  'braids': 'two braids',
  'headscarf': 'headscarf',
  'bald': 'none: bald',
}
const skin = computed(() => session.look!.skin)
const toneWords = computed(
  () => skins.find(s => s[0] === skin.value.colour.toLowerCase())?.[1] ?? 'own colour',
)
const beardOf = (value: string): Look['skin']['beard'] =>
  value === 'stubble' || value === 'beard' ? value : undefined
const put = (recipe: (skin: Look['skin']) => void) =>
  session.edit('skin', draft => recipe(draft.skin), 'skin')
</script>

<template>
  <Popover class="relative">
    <PopoverButton ref="button" class="btn"
      ><span class="size-4 rounded-full border border-ink/20" :style="{ background: skin.colour }" /><span
        class="max-[1400px]:sr-only"
        >skin {{ toneWords }}</span
      ><ChevronDown :size="14"
    /></PopoverButton>
    <PopoverPanel>
      <FloatingPanel :anchor="button" placement="bottom-start" class="w-72 space-y-3 p-3">
        <ColourChoice
          v-for="{ what, colours, get, set } in choices"
          :key="what"
          :what
          :colours
          :model-value="get(skin)"
          @update:model-value="c => put(s => set(s, c))"
        />
        <label class="block"
          ><span class="eyebrow mb-1">Hair worn</span
          ><select
            class="field"
            aria-label="Hair worn"
            :value="skin.cut ?? 'tied back'"
            @change="
              put(s => {
                s.cut = ($event.target as HTMLSelectElement).value as HairCut
              })
            "
          >
            <option v-for="cut in HAIR_CUTS" :key="cut" :value="cut">
              {{ CUT_WORDS[cut] }}
            </option>
          </select></label
        >
        <label class="block"
          ><span class="eyebrow mb-1">Beard</span
          ><select
            class="field"
            aria-label="Beard"
            :value="skin.beard ?? 'none'"
            @change="
              put(s => {
                s.beard = beardOf(($event.target as HTMLSelectElement).value)
              })
            "
          >
            <option value="none">none</option>
            <option value="stubble">stubble</option>
            <option value="beard">beard</option>
          </select></label
        >
        <SwitchField
          :model-value="skin.freckles ?? false"
          label="Freckles"
          @update:model-value="
            v =>
              put(s => {
                s.freckles = v || undefined
              })
          "
        />
        <SwitchField
          :model-value="skin.oily ?? false"
          label="Oily or sweaty"
          @update:model-value="
            v =>
              put(s => {
                s.oily = v || undefined
              })
          "
        />
        <SwitchField
          :model-value="skin.eyes === 'closed'"
          label="Eyes closed"
          @update:model-value="
            v =>
              put(s => {
                s.eyes = v ? 'closed' : 'open'
              })
          "
        />
        <p class="text-sm leading-snug text-soft">
          Under three years: a small design on the arm, or none (common practice).
        </p>
      </FloatingPanel>
    </PopoverPanel>
  </Popover>
</template>
