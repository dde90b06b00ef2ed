<script setup lang="ts">
import { Palette } from '@lucide/vue'
import { toast } from 'vue-sonner'
import { STARTER_SET } from '#core/paint'

/** Puts the colours of a first kit into a kit that has none. */
const kit = useKit()
const busy = ref(false)
async function add(): Promise<void> {
  busy.value = true
  try {
    for (const paint of STARTER_SET.filter(s => !kit.paints.some(p => p.name === s.name)))
      await kit.save(paint, null)
    toast(
      `${STARTER_SET.length} colours are in the kit. Their colour and hiding are estimates, and what their labels say of eyes and lips is not entered: it counts as not safe.`,
      { duration: 8000 },
    )
  } catch (error) {
    toast.error(sentencesOf(error).join(' '), { duration: 9000 })
  }
  busy.value = false
}
</script>

<template>
  <button class="btn-main" :disabled="busy" @click="add">
    <Palette :size="16" />Add {{ STARTER_SET.length }} usual colours
  </button>
</template>
