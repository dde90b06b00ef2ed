<script setup lang="ts">
import { CircleCheck, Droplets, Eye, Hourglass } from '@lucide/vue'

/** A time that runs, or has run out: how long something dries, stays wet, or the eyes stay shut. */
const props = defineProps<{
  kind: 'dry' | 'wet' | 'eyes' | 'ready' | 'late'
  words: string
  seconds: number
  of: number
}>()
const LOOKS = {
  dry: { icon: Hourglass, css: 'border-care text-care' },
  wet: { icon: Droplets, css: 'border-mulberry text-mulberry' },
  eyes: { icon: Eye, css: 'border-care text-care' },
  ready: { icon: CircleCheck, css: 'border-go text-go' },
  late: { icon: Hourglass, css: 'border-stop text-stop' },
} as const
const look = computed(() => LOOKS[props.kind])
const share = computed(() => Math.max(0, Math.min(1, props.of > 0 ? props.seconds / props.of : 0)))
</script>

<template>
  <div
    role="timer"
    class="relative flex items-center gap-3 overflow-hidden rounded-xl border-3 bg-card px-3 py-2"
    :class="look.css"
    data-testid="banner"
    :data-kind="kind"
  >
    <span
      class="absolute inset-y-0 left-0 bg-current opacity-15 transition-[width] duration-300 ease-linear"
      :style="{ width: `${100 * share}%` }"
      aria-hidden="true"
    />
    <component :is="look.icon" :size="28" class="relative shrink-0" />
    <strong v-if="seconds > 0" class="relative font-display text-3xl tabular-nums">{{
      clock(Math.ceil(seconds))
    }}</strong>
    <span class="relative min-w-0 leading-tight font-semibold">{{ words }}</span>
  </div>
</template>
