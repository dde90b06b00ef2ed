<script setup lang="ts">
import { Moon, Sun } from '@lucide/vue'

const { dark, toggle } = useTheme()
const pages = [
  ['/', 'Looks'],
  ['/drawer', 'Drawer'],
  ['/kit', 'Kit'],
  ['/log', 'Log'],
  ['/settings', 'Settings'],
] as const
const route = useRoute()
const here = (path: string) => (path === '/' ? route.path === '/' : route.path.startsWith(path))
</script>

<template>
  <nav class="flex items-center gap-x-1 max-sm:overflow-x-auto sm:flex-wrap" aria-label="Main">
    <NuxtLink to="/" aria-label="Janusform" class="max-sm:hidden"
      ><img src="/mark.svg" alt="" class="mr-1 size-10 max-sm:hidden sm:mr-3"
    /></NuxtLink>
    <NuxtLink
      v-for="[path, words] in pages"
      :key="path"
      :to="path"
      class="shrink-0 rounded-lg px-2 py-1 font-display text-lg font-bold sm:px-3 sm:text-xl"
      :class="
        here(path)
          ? 'text-ink underline decoration-mulberry decoration-3 underline-offset-8'
          : 'text-soft hover:text-mulberry'
      "
      :aria-current="here(path) ? 'page' : undefined"
      >{{ words }}</NuxtLink
    >
    <button
      class="icon-btn ml-auto shrink-0 sm:ml-1"
      v-tip="dark ? 'Light' : 'Dark, for the tent at night'"
      :aria-label="dark ? 'Light theme' : 'Dark theme'"
      @click="toggle"
    >
      <component :is="dark ? Sun : Moon" :size="18" />
    </button>
  </nav>
</template>
