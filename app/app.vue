<script setup lang="ts">
import { toast, Toaster } from 'vue-sonner'
import 'vue-sonner/style.css'

const notices = useNotices()
useTheme()
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
  <CommandList />
  <Toaster
    position="bottom-center"
    :toast-options="{ style: { background: '#23201D', color: '#F6F4EF', border: 'none' } }"
  />
</template>
