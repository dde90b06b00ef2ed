<script setup lang="ts">
import { placementsOf, whereIs, type SheetStep } from '#core/look'

const props = defineProps<{ step: SheetStep }>()
const bench = useBench()
const twin = computed(() => placementsOf(props.step)[1])
</script>

<template>
  <div>
    <SwitchField :model-value="step.twin === 'midline'" label="Twin across the midline (T)" @update:model-value="bench.twin()" />
    <p v-if="twin" class="mt-1 text-[0.87rem] leading-snug text-soft">Wipe the sheet, flip it to side {{ twin.side }}; {{ whereIs(bench.world.face, twin.at).landmark }}.</p>
  </div>
</template>
