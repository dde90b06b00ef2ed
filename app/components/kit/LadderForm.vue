<script setup lang="ts">
import { Download } from '@lucide/vue'
import { toast } from 'vue-sonner'
import type { ToolId, Wetness } from '#core/paint'
import { LADDER_MM } from '#core/stencil'

const kit = useKit()
const bridge = ref<number | null>(null)
const tool = defineModel<ToolId>('tool', { required: true })
const wetness = defineModel<Wetness>('wetness', { required: true })
async function add(): Promise<void> {
  if (bridge.value === null) return
  try {
    await kit.read('edges', { tool: tool.value, wetness: wetness.value, bridge: bridge.value })
    bridge.value = null
  } catch (error) {
    toast.error(sentencesOf(error).join(' '))
  }
}
</script>

<template>
  <h2 class="font-display text-lg font-semibold">The bridge ladder</h2>
  <p class="text-[0.93rem] leading-snug text-soft">
    Cut it or print it, dab it with one tool at one wetness, lift it, and tell which bridge is the narrowest
    still clear. Twice the edge spread is as wide.
  </p>
  <div class="flex gap-1.5">
    <a
      v-for="as in ['pdf', 'svg', 'dxf']"
      :key="as"
      class="btn text-[0.87rem]"
      :href="`/api/ladder/${as}`"
      :target="as === 'pdf' ? '_blank' : undefined"
      ><Download :size="14" />{{ as.toUpperCase() }}</a
    >
  </div>
  <form class="space-y-2" aria-label="Reading of the ladder" @submit.prevent="add">
    <ToolPicker v-model="tool" /><WetnessPicker v-model="wetness" />
    <label class="block"
      >Narrowest bridge still clear, mm<select
        v-model="bridge"
        class="field"
        aria-label="Narrowest bridge still clear, mm"
      >
        <option :value="null">choose</option>
        <option v-for="(b, i) in LADDER_MM" :key="b" :value="b">pair {{ i + 1 }}: {{ b }} mm</option>
      </select></label
    >
    <button class="btn-main w-full" :disabled="bridge === null">Keep this reading</button>
  </form>
</template>
