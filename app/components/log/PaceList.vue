<script setup lang="ts">
import { taskWords } from '#core/look'

/** The painter's own pace for each kind of task, with how often it was timed and how it scatters. */
const log = useLog()
const percent = (factor: number) => {
  const by = Math.round(100 * (factor - 1))
  return by === 0 ? 'as the starting value' : by > 0 ? `${by} % longer` : `${-by} % shorter`
}
</script>

<template>
  <table class="w-full text-left text-[0.93rem]" data-testid="paces">
    <thead>
      <tr class="border-b border-rule text-soft">
        <th class="py-1 font-semibold">Kind of task</th>
        <th class="font-semibold">Your pace</th>
        <th class="text-right font-semibold">times</th>
        <th class="pl-3 text-right font-semibold">scatters by</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="p in log.paces" :key="p.task" class="border-b border-rule">
        <td class="py-1 pr-3">{{ taskWords(p.task) }}</td>
        <td>{{ percent(p.factor) }}</td>
        <td class="text-right tabular-nums">{{ p.count }}</td>
        <td class="pl-3 text-right tabular-nums">
          {{ p.count > 1 ? `× ${Math.exp(p.spread).toFixed(2)}` : '–' }}
        </td>
      </tr>
    </tbody>
  </table>
</template>
