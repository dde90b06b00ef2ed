<script setup lang="ts">
const pages = [
  ['/', 'Looks'],
  ['/drawer', 'Drawer'],
  ['/kit', 'Kit'],
  ['/log', 'Log'],
] as const
const route = useRoute()
const here = (path: string) => (path === '/' ? route.path === '/' : route.path.startsWith(path))
</script>

<template>
  <nav class="flex items-center gap-1" aria-label="Main">
    <NuxtLink to="/" aria-label="Janusform"><img src="/mark.svg" alt="" class="mr-3 size-10" /></NuxtLink>
    <NuxtLink
      v-for="[path, words] in pages"
      :key="path"
      :to="path"
      class="rounded-lg px-3 py-1 font-display text-xl font-bold"
      :class="
        here(path)
          ? 'text-ink underline decoration-mulberry decoration-3 underline-offset-8'
          : 'text-soft hover:text-mulberry'
      "
      :aria-current="here(path) ? 'page' : undefined"
      >{{ words }}</NuxtLink
    >
  </nav>
</template>
