<script setup lang="ts">
import type { Manner, ToolLoad } from '#core/look'

/** How a loaded sponge is led, in the colours that it is loaded with: light below, toward the face. */
const props = defineProps<{ manner: Manner; load: ToolLoad | null }>()
const colours = computed<string[]>(() => {
  const { load } = props
  if (!load) return ['#cfc8bc', '#b6ad9f', '#9c9283']
  if (load.kind === 'one') return [load.paint.colour]
  if (load.kind === 'cake') return load.cake.strips.map(s => s.colour)
  return [load.first.colour, load.second.colour]
})
const share = (i: number) => i / colours.value.length
const wide = computed(() => 1 / colours.value.length)
</script>

<template>
  <svg viewBox="0 0 60 36" class="plate h-9 w-full" aria-hidden="true">
    <template v-for="(c, i) in colours" :key="i">
      <path
        v-if="manner === 'drawn'"
        :d="`M6 ${30 - 20 * (share(i) + wide / 2)} Q30 ${14 - 20 * (share(i) + wide / 2) + 6} 54 ${30 - 20 * (share(i) + wide / 2)}`"
        fill="none"
        :stroke="c"
        :stroke-width="20 * wide + 0.6"
      />
      <path
        v-else-if="manner === 'turned'"
        :d="`M${30 - 26 * (share(i) + wide / 2)} 32 A${26 * (share(i) + wide / 2)} ${26 * (share(i) + wide / 2)} 0 0 1 ${30 + 26 * (share(i) + wide / 2)} 32`"
        fill="none"
        :stroke="c"
        :stroke-width="26 * wide + 0.6"
      />
      <template v-else>
        <rect
          v-for="n in 4"
          :key="n"
          :x="14 * n - 11.5"
          :y="26 - 20 * (share(i) + wide) + (n === 1 || n === 4 ? 5 : 0)"
          width="11"
          :height="20 * wide + 0.3"
          :fill="c"
        />
      </template>
    </template>
  </svg>
</template>
