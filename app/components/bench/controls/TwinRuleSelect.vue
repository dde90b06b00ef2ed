<script setup lang="ts">
import type { TwinRule } from '#core/look'

/** The rule that places a twin, from those that the canvas has. */
const props = defineProps<{ rule: TwinRule; disabled?: boolean }>()
const emit = defineEmits<{ choose: [rule: TwinRule] }>()
const scene = useScene()
const rules = computed<[TwinRule, string][]>(() =>
  scene.ground.face
    ? [
        ['none', 'no twin'],
        ['features', "by the other side's features"],
        ['midline', 'across the midline, exactly'],
        ...(props.rule === 'turn' ? ([['turn', 'half a turn']] as [TwinRule, string][]) : []),
      ]
    : [
        ['none', 'no twin'],
        ['midline', 'across the middle line'],
        ['turn', 'half a turn, for the other edge'],
      ],
)
</script>

<template>
  <select
    class="field"
    :value="rule"
    aria-label="Twin"
    :disabled="disabled"
    @change="emit('choose', ($event.target as HTMLSelectElement).value as TwinRule)"
  >
    <option v-for="[value, text] in rules" :key="value" :value="value">{{ text }}</option>
  </select>
</template>
