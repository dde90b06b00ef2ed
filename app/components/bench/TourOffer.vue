<script setup lang="ts">
import { X } from '@lucide/vue'
import { useTourAnswered } from './tour'

/** Offers the tour on an empty look, until it was taken or put off. */
const emit = defineEmits<{ tour: [] }>()
const answered = useTourAnswered()
const session = useSession()
const drawer = useDrawer()
const kit = useKit()
const offered = computed(
  () => !answered.value && !session.look!.steps.length && drawer.list.length > 0 && kit.singles.length > 0,
)
</script>

<template>
  <p
    v-if="offered"
    class="flex shrink-0 items-center gap-2 border-b border-rule bg-mulberry-wash px-3 py-1.5 text-[0.87rem]"
  >
    <span class="flex-1">New here? Six stops, one minute.</span>
    <button class="btn-main" @click="emit('tour')">Show me</button>
    <button class="icon-btn" aria-label="No tour" @click="answered = true"><X :size="16" /></button>
  </p>
</template>
