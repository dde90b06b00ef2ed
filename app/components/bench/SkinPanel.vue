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
      ><span class="size-4 rounded-full border border-ink/20" :style="{ background: skin.colour }" />skin
      {{ toneWords }}<ChevronDown :size="14"
    /></PopoverButton>
    <PopoverPanel>
      <FloatingPanel :anchor="button" placement="bottom-start" class="w-72 space-y-3 p-3">
        <div>
          <h3 class="eyebrow mb-1">Skin</h3>
          <div class="flex items-center gap-1.5">
            <button
              v-for="[c, words] in skins"
              :key="c"
              class="size-8 rounded-full border border-ink/20"
              :class="skin.colour === c && 'ring-2 ring-mulberry ring-offset-2'"
              :style="{ background: c }"
              v-tip="words"
              :aria-label="`Skin ${words}`"
              @click="
                put(s => {
                  s.colour = c
                })
              "
            />
            <input
              type="color"
              class="size-8 cursor-pointer rounded"
              v-kept="skin.colour"
              aria-label="Any skin colour"
              @change="
                put(s => {
                  s.colour = ($event.target as HTMLInputElement).value
                })
              "
            />
          </div>
        </div>
        <div>
          <h3 class="eyebrow mb-1">Hair</h3>
          <div class="flex gap-1.5">
            <button
              v-for="[c, words] in hairs"
              :key="c"
              class="size-8 rounded-full border border-ink/20"
              :class="skin.hair === c && 'ring-2 ring-mulberry ring-offset-2'"
              :style="{ background: c }"
              v-tip="words"
              :aria-label="`Hair ${words}`"
              @click="
                put(s => {
                  s.hair = c
                })
              "
            />
            <input
              type="color"
              class="size-8 cursor-pointer rounded"
              v-kept="skin.hair"
              aria-label="Any hair colour"
              @change="
                put(s => {
                  s.hair = ($event.target as HTMLInputElement).value
                })
              "
            />
          </div>
        </div>
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
