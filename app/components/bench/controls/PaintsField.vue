<script setup lang="ts">
import { Plus, X } from '@lucide/vue'
import type { LipsStep, PaintRef, Wash } from '#core/look'
import { linearOf, luminance } from '#core/paint'

const props = defineProps<{ step: Wash | LipsStep }>()
const steps = useSteps()
const kit = useKit()
const change = (label: string, recipe: (colours: PaintRef[]) => void) =>
  steps.edit(label, s => {
    if ('colours' in s) recipe(s.colours)
  })
/** Where light and dark go, and what order the colours stand in. */
const advice = computed(() => {
  const light = props.step.colours.map(c => luminance(linearOf(kit.find(c.id)?.colour ?? c.colour)))
  const falling = light.every((v, i) => i === 0 || v <= light[i - 1]! + 0.02)
  const where = !('axis' in props.step)
    ? 'Light in the middle, dark outward.'
    : props.step.axis.kind === 'out'
      ? 'Light in the middle of the face, dark outward.'
      : 'Light where the line begins, dark where it ends.'
  return falling
    ? `${where} Blend neighbours while both are wet.`
    : `${where} Here a darker colour stands before a lighter one: swap them, unless the dark middle is wanted.`
})
/** Strips of a cake in place of colours: across what the base covers. */
const cake = () =>
  steps.editKind('wash', 'from a cake', s => {
    s.cake = { kind: 'cake', cake: kit.cakeRefOf(kit.cakes[0]!), strips: null }
    delete s.stops
  })
const takeOut = (i: number) =>
  steps.edit('take a colour out', s => {
    if (!('colours' in s)) return
    s.colours.splice(i, 1)
    if ('stops' in s) delete s.stops
  })
const more = () => {
  const unused = kit.paints.find(p => !props.step.colours.some(c => c.id === p.id))
  if (unused)
    steps.edit('add a colour', s => {
      if (!('colours' in s)) return
      s.colours.push(kit.refOf(unused))
      if ('stops' in s) delete s.stops
    })
}
</script>

<template>
  <CakeField v-if="'axis' in step && step.cake" :step="step" />
  <ul v-else class="space-y-1">
    <li v-for="(colour, i) in step.colours" :key="i" class="flex items-center gap-1">
      <PaintPicker
        :model-value="colour"
        :label="`Colour ${i + 1}`"
        @update:model-value="
          paint =>
            change('colour', c => {
              c[i] = paint
            })
        "
      />
      <button
        v-if="step.colours.length > 1"
        class="icon-btn"
        :aria-label="`Take colour ${i + 1} out`"
        @click="takeOut(i)"
      >
        <X :size="15" />
      </button>
    </li>
    <li v-if="step.colours.length > 1" class="text-[0.87rem] leading-snug text-soft">{{ advice }}</li>
    <li v-if="step.colours.length < ('axis' in step ? 5 : 2)">
      <button class="btn text-[0.87rem]" @click="more"><Plus :size="14" />Another colour</button>
    </li>
    <li v-if="'axis' in step && kit.cakes.length">
      <button class="btn text-[0.87rem]" @click="cake">From a split cake</button>
    </li>
  </ul>
</template>
