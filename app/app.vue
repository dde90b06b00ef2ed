<script setup lang="ts">
import { Toaster } from 'vue-sonner'
import 'vue-sonner/style.css'
</script>

<template>
  <NuxtPage />
  <Toaster
    position="bottom-center"
    :toast-options="{ style: { background: '#23201D', color: '#F6F4EF', border: 'none' } }"
  />
</template>
