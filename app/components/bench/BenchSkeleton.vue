<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { RULER } from './stage/ruler'

/** The bench before its look is there: the look's last picture, exactly where it will be painted. */
const { id } = defineProps<{ id: string }>()
// The setting itself comes with the bench; see stores/settings.
const ruler = useLocalStorage('janusform-ruler', true)
const inset = computed(() => `${ruler.value ? RULER : 0}px`)
const missing = ref(false)
</script>

<template>
  <main
    class="grid h-screen min-h-[560px] min-w-[1000px] grid-cols-[264px_minmax(0,1fr)_316px] grid-rows-[52px_minmax(0,1fr)_124px]"
    aria-busy="true"
  >
    <div class="col-span-3 border-b border-rule bg-card" />
    <div class="border-r border-rule bg-paper" />
    <div class="relative overflow-hidden bg-stage" data-testid="skeleton">
      <img
        v-if="!missing"
        :src="cardAddress(id)"
        alt=""
        class="absolute object-contain"
        :style="{ left: inset, top: inset, width: `calc(100% - ${inset})`, height: `calc(100% - ${inset})` }"
        @error="missing = true"
      />
      <p role="status" class="absolute bottom-2 left-6 rounded-full bg-ink/85 px-3 py-0.5 text-sm text-paper">
        Opening…
      </p>
    </div>
    <div class="border-l border-rule bg-paper" />
    <div class="col-span-3 border-t border-rule bg-card" />
  </main>
</template>
