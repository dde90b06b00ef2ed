<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { CloudSun, Lamp, Lightbulb, Sun } from '@lucide/vue'
import { LIGHT_IDS, LIGHTS, type LightId } from '#core/paint'

/** Under which light the look is seen. */
const settings = useSettings()
const button = useTemplateRef<InstanceType<typeof PopoverButton>>('button')
function choose(id: LightId, close: () => void): void {
  settings.light = id
  close()
}
const ICONS = { lamp: Lightbulb, noon: Sun, shade: CloudSun, lanterns: Lamp } as const
</script>

<template>
  <Popover>
    <PopoverButton ref="button" as="template"
      ><button
        class="icon-btn"
        v-tip="`Light: ${LIGHTS[settings.light].words}`"
        aria-label="Light"
        :class="settings.light !== 'lamp' && 'text-mulberry'"
      >
        <component :is="ICONS[settings.light]" :size="17" /></button
    ></PopoverButton>
    <PopoverPanel v-slot="{ close }">
      <FloatingPanel :anchor="button" placement="left-end" class="w-60 p-1.5">
        <div role="radiogroup" aria-label="Light">
          <button
            v-for="id in LIGHT_IDS"
            :key="id"
            type="button"
            role="radio"
            class="flex w-full items-center gap-2 rounded-md px-2 py-1.5 text-left hover:bg-paper"
            :class="settings.light === id && 'text-mulberry'"
            :aria-checked="settings.light === id"
            @click="choose(id, close)"
          >
            <component :is="ICONS[id]" :size="16" /><span class="first-letter:uppercase">{{
              LIGHTS[id].words
            }}</span>
          </button>
        </div>
        <p class="px-2 pt-1 pb-0.5 text-sm leading-snug text-soft">
          How steps show is judged under it. Cards and pictures keep to the stall's lamp. <EstimateMark />
        </p>
      </FloatingPanel>
    </PopoverPanel>
  </Popover>
</template>
