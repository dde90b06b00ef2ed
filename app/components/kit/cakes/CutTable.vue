<script setup lang="ts">
import { costOfCuts, type Cut } from '#core/cake'

/** What to cut from which cake, and what is left in it. */
const { cuts } = defineProps<{ cuts: readonly Cut[] }>()
const settings = useSettings()
const cost = computed(() => costOfCuts(cuts))
const grams = computed(() => cuts.reduce((sum, c) => sum + c.grams, 0))
</script>

<template>
  <table class="w-full text-left text-[0.93rem]">
    <thead>
      <tr class="border-b border-rule text-[0.8rem] text-soft">
        <th class="py-1 font-semibold">Cut from</th>
        <th class="text-right font-semibold">slice</th>
        <th class="text-right font-semibold">grams</th>
        <th class="pl-3 text-right font-semibold">left then</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="c in cuts" :key="c.name + c.colour" class="border-b border-rule">
        <th class="flex items-center gap-2 py-1 font-medium">
          <span class="size-4 rounded border border-edge" :style="{ background: c.colour }" />{{ c.name }}
        </th>
        <td class="text-right tabular-nums">{{ settings.length(c.width, 1) }}</td>
        <td class="text-right tabular-nums">{{ c.grams.toFixed(1) }}</td>
        <td class="pl-3 text-right tabular-nums">
          <span v-if="!c.paint" class="font-semibold text-care">not in the kit</span>
          <span v-else-if="c.leaves === null" class="text-soft">not noted</span>
          <strong v-else-if="c.leaves < 0" class="text-stop">{{ (-c.leaves).toFixed(1) }} g short</strong>
          <template v-else>{{ c.leaves.toFixed(1) }} g</template>
        </td>
      </tr>
    </tbody>
    <tfoot>
      <tr>
        <th class="pt-1 font-semibold">All of it <EstimateMark /></th>
        <td />
        <td class="pt-1 text-right font-semibold tabular-nums">{{ grams.toFixed(1) }}</td>
        <td class="pt-1 pl-3 text-right tabular-nums">
          {{ cost === null ? 'cost not known' : settings.money(cost) }}
        </td>
      </tr>
    </tfoot>
  </table>
</template>
