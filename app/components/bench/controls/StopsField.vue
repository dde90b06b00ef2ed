<script setup lang="ts">
/** Where along its way each of several colours lies, %. */
const props = defineProps<{
  /** Shares of the way, 0 to 1; evenly spread when left out. */
  stops: readonly number[] | undefined
  count: number
}>()
const emit = defineEmits<{ put: [stops: number[], n: number] }>()
const now = computed(
  () => props.stops ?? Array.from({ length: props.count }, (_, i) => i / (props.count - 1)),
)
/** Colours keep their order: one that is pushed past its neighbour takes it along. */
function put(n: number, percent: number): void {
  const to = percent / 100
  emit(
    'put',
    now.value.map((v, i) => (i === n ? to : i < n ? Math.min(v, to) : Math.max(v, to))),
    n,
  )
}
</script>

<template>
  <div class="grid grid-cols-3 gap-1.5">
    <NumberField
      v-for="(v, n) in now"
      :key="n"
      :model-value="Math.round(100 * v)"
      :label="`colour ${n + 1} at`"
      unit="%"
      :least="0"
      :most="100"
      :step="5"
      @update:model-value="percent => put(n, percent)"
    />
  </div>
</template>
