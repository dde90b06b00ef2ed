<script setup lang="ts">
import { Gift } from '@lucide/vue'
import { toast } from 'vue-sonner'
import type { DemoAdded } from '~~/server/pool/demo'

/** Brings the demo's stencils, paints and looks into a house that has none of its own. */
const emit = defineEmits<{ brought: [] }>()
const busy = ref(false)

async function bring(): Promise<void> {
  busy.value = true
  try {
    const { stencils, paints, looks } = await $fetch<DemoAdded>('/api/house/demo', { method: 'POST' })
    toast(`Added ${stencils} stencils, ${paints} paints and ${looks} looks of the Saltmarsh Lantern Fair`)
    emit('brought')
  } catch (error) {
    toast.error(sentencesOf(error).join(' '), { duration: 9000 })
  }
  busy.value = false
}
</script>

<template>
  <span v-if="busy" role="status" class="inline-flex items-center gap-2 text-soft">
    <progress class="h-1.5 w-28" aria-label="Adding the demo's things" />Adding the demo's things…
  </span>
  <button v-else class="btn-main" @click="bring"><Gift :size="16" />Add the demo's things</button>
</template>
