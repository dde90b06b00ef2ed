<script setup lang="ts">
import type { Param } from '#core/stroke'

/** The numbers that shape a stroke or a run of dots. */
defineProps<{ params: readonly Param[]; value: Readonly<Record<string, number>> }>()
const steps = useSteps()
const put = (q: Param, v: number) => {
  steps.editMark(
    q.words,
    s => {
      if ('params' in s) s.params[q.name] = v
    },
    `param-${q.name}`,
  )
}
const choose = (q: Param, event: Event) =>
  steps.editMark(q.words, s => {
    if ('params' in s) s.params[q.name] = Number((event.target as HTMLSelectElement).value)
  })
</script>

<template>
  <div class="grid grid-cols-2 gap-x-2 gap-y-1 text-[0.87rem]">
    <template v-for="q in params" :key="q.name">
      <label
        v-if="q.unit === '' && q.least === 0 && q.most === 1 && !q.choices"
        class="col-span-2 flex items-center gap-1.5"
        ><input
          type="checkbox"
          :checked="value[q.name] === 1"
          @change="
            steps.editMark(q.words, s => {
              if ('params' in s) s.params[q.name] = ($event.target as HTMLInputElement).checked ? 1 : 0
            })
          "
        />{{ q.words }}</label
      >
      <label v-else-if="q.choices" class="block leading-tight"
        >{{ q.words
        }}<select
          class="field"
          :value="value[q.name] ?? q.usual"
          :aria-label="q.words"
          @change="choose(q, $event)"
        >
          <option v-for="(words, n) in q.choices" :key="n" :value="n">{{ words }}</option>
        </select></label
      >
      <label v-else class="block leading-tight"
        >{{ q.words }}{{ q.unit ? `, ${q.unit}` : ''
        }}<NumberInput
          :model-value="value[q.name] ?? q.usual"
          :min="q.least"
          :max="q.most"
          :step="q.step"
          :label="`${q.words}${q.unit ? `, ${q.unit}` : ''}`"
          @update:model-value="v => put(q, v!)"
      /></label>
    </template>
  </div>
</template>
