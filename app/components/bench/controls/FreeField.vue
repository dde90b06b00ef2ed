<script setup lang="ts">
import { FREE, type Wash } from '#core/look'

/** Places that a drawn base leaves unpainted where it runs over them. */
const props = defineProps<{ step: Wash }>()
const steps = useSteps()
const words = { eyes: 'Open eyes, with the lash line', nostrils: 'Nostrils' } as const
function put(what: (typeof FREE)[number], on: boolean): void {
  const next = FREE.filter(f => (f === what ? on : props.step.free?.includes(f)))
  steps.editKind('wash', 'leave free', s => {
    if (next.length) s.free = next
    else delete s.free
  })
}
</script>

<template>
  <div class="space-y-1">
    <SwitchField
      v-for="what in FREE"
      :key="what"
      :model-value="step.free?.includes(what) ?? false"
      :label="words[what]"
      @update:model-value="v => put(what, v)"
    />
  </div>
</template>
