<script setup lang="ts">
import { BRUSHES, type BrushId } from '#core/paint'

const brush = defineModel<BrushId>({ required: true })
const FILLING = [
  'round1',
  'round2',
  'round3',
  'round4',
  'filbert8',
  'flat13',
] as const satisfies readonly BrushId[]
</script>

<template>
  <select v-model="brush" class="field" aria-label="Brush">
    <option v-for="id in FILLING" :key="id" :value="id">{{ BRUSHES[id].name }}</option>
  </select>
</template>
