<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { RULER } from './stage/ruler'

/** The look's last picture of the gallery, exactly where the stage paints it. */
const { id } = defineProps<{ id: string }>()
// The setting itself comes with the bench; see stores/settings.
const ruler = useLocalStorage('janusform-ruler', true)
const inset = computed(() => `${ruler.value ? RULER : 0}px`)
const address = cardAddress(id)
const missing = ref(!address)
</script>

<template>
  <img
    v-if="!missing"
    :src="address!"
    alt=""
    class="absolute object-contain"
    :style="{ left: inset, top: inset, width: `calc(100% - ${inset})`, height: `calc(100% - ${inset})` }"
    @error="missing = true"
  />
</template>
