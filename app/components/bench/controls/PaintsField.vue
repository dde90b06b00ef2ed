<script setup lang="ts">
import { Plus, X } from '@lucide/vue'
import type { PaintRef, Wash } from '#core/look'

const props = defineProps<{ step: Wash }>()
const bench = useBench(), kit = useKit()
const change = (label: string, recipe: (colours: PaintRef[]) => void) => bench.editStep(label, (s) => { if (s.kind === 'wash') recipe(s.colours) })
const more = () => {
  const unused = kit.paints.find(p => !props.step.colours.some(c => c.id === p.id))
  if (unused) change('add a colour', colours => void colours.push(kit.refOf(unused)))
}
</script>

<template>
  <ul class="space-y-1">
    <li v-for="(colour, i) in step.colours" :key="i" class="flex items-center gap-1">
      <PaintPicker :model-value="colour" :label="`Colour ${i + 1}`" @update:model-value="paint => change('colour', c => { c[i] = paint })" />
      <button v-if="step.colours.length > 1" class="icon-btn" :aria-label="`Take colour ${i + 1} out`" @click="change('take a colour out', c => void c.splice(i, 1))"><X :size="15" /></button>
    </li>
    <li v-if="step.colours.length < 4"><button class="btn text-[0.87rem]" @click="more"><Plus :size="14" />Another colour</button></li>
  </ul>
</template>
