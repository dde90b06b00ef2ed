<script setup lang="ts">
import { TOOL_IDS, TOOLS, type ToolId } from '#core/paint'

const tool = defineModel<ToolId>({ required: true })
</script>

<template>
  <select v-model="tool" class="field" aria-label="Tool">
    <option v-for="id in TOOL_IDS" :key="id" :value="id">{{ TOOLS[id].name }}</option>
  </select>
</template>
