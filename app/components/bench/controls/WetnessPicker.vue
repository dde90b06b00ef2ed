<script setup lang="ts">
import { WETNESSES, type Wetness } from '#core/paint'

const wetness = defineModel<Wetness>({ required: true })
const options = WETNESSES.map(w => [w, w] as const)
</script>

<template>
  <SegmentedChoice v-model="wetness" label="Wetness" :options="options" />
</template>
