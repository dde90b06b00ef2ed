<script setup lang="ts">
import { GLITTER_COLOURS, GLITTER_SORTS, GLITTERS, type Pass } from '#core/look'

/** The glitter that is strewn before a sheet is lifted: its sort, colour and amount. */
type Sparkle = NonNullable<Pass['sparkle']>
const props = defineProps<{ pass: Pass; index: number }>()
const steps = useSteps()
const USUAL: Sparkle = { sort: 'fine', colour: { ...GLITTER_COLOURS[0] }, amount: 0.9 }
const now = computed<Sparkle>(() => props.pass.sparkle ?? USUAL)
const put = (change: Partial<Sparkle>) =>
  steps.editKind('sheet', 'glitter before lifting', s => {
    const pass = s.passes[props.index]
    if (pass) pass.sparkle = { ...plain(now.value), ...change }
  })
</script>

<template>
  <div class="space-y-1.5">
    <select
      class="field"
      :value="now.sort"
      aria-label="Sort of the glitter before lifting"
      @change="put({ sort: ($event.target as HTMLSelectElement).value as Sparkle['sort'] })"
    >
      <option v-for="sort in GLITTER_SORTS" :key="sort" :value="sort">{{ GLITTERS[sort].words }}</option>
    </select>
    <GlitterDots :name="now.colour.name" @pick="(colour, sort) => put({ colour, ...(sort && { sort }) })" />
  </div>
</template>
