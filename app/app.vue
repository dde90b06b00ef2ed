<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core'
import { toast, Toaster } from 'vue-sonner'
import 'vue-sonner/style.css'

const notices = useNotices()
useTheme()
/** Whether the list of commands is open; it is fetched when it is first asked for. */
const listing = ref(false)
const wanted = ref(false)
// It is fetched before it is asked for.
afterPage(() => {
  wanted.value = true
})
onKeyStroke('z', event => {
  if (!(event.ctrlKey || event.metaKey) || event.shiftKey || event.altKey || event.defaultPrevented) return
  // A field takes back its own typing.
  if ((event.target as HTMLElement).closest('input, textarea, select')) return
  if (undoLast()) event.preventDefault()
})
onKeyStroke('k', event => {
  if (!(event.ctrlKey || event.metaKey) || event.shiftKey || event.altKey) return
  event.preventDefault()
  wanted.value = true
  listing.value = !listing.value
})
watch(
  () => notices.last,
  notice => {
    if (notice?.refused) toast.error(notice.text)
    else if (notice) toast(notice.text)
  },
)
</script>

<template>
  <NuxtPage />
  <LazyCommandList v-if="wanted" v-model:open="listing" />
  <Toaster
    position="bottom-center"
    :toast-options="{ style: { background: '#23201D', color: '#F6F4EF', border: 'none' } }"
  />
</template>
