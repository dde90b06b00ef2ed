<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import type { Pass, SheetStep } from '#core/look'

const props = defineProps<{ step: SheetStep }>()
const bench = useBench()
const change = (label: string, i: number, recipe: (pass: Pass) => void) => bench.editSheet(label, s => recipe(s.passes[i]!))

function more(): void {
  const last = props.step.passes.at(-1)!
  bench.editSheet('add a pass', s => void s.passes.push({ ...structuredClone(toRaw(last)), dabs: 2 }))
}
</script>

<template>
  <ol class="space-y-2">
    <li v-for="(pass, i) in step.passes" :key="i" class="space-y-1.5 rounded-lg border border-rule bg-card p-2" :aria-label="`Pass ${i + 1}`">
      <div class="flex items-center gap-1.5">
        <span class="eyebrow w-10 shrink-0">Pass {{ i + 1 }}</span>
        <PaintPicker :model-value="pass.load.paint" :label="`Colour of pass ${i + 1}`" @update:model-value="paint => change('colour', i, p => { p.load.paint = paint })" />
        <button v-if="step.passes.length > 1" class="icon-btn" :aria-label="`Delete pass ${i + 1}`" @click="bench.editSheet('delete a pass', s => void s.passes.splice(i, 1))"><Trash2 :size="15" /></button>
      </div>
      <div class="flex items-center gap-1.5">
        <ToolPicker :model-value="pass.tool" class="min-w-0 flex-1" @update:model-value="v => change('tool', i, p => { p.tool = v })" />
        <CountStepper :model-value="pass.dabs" label="dabs" @update:model-value="v => change('dabs', i, p => { p.dabs = v })" />
      </div>
      <WetnessPicker :model-value="pass.wetness" @update:model-value="v => change('wetness', i, p => { p.wetness = v })" />
      <p v-if="pass.openings.use === 'chosen'" class="flex items-center justify-between text-[0.87rem] text-soft">{{ pass.openings.numbers.length }} openings only <button class="btn" @click="change('openings', i, p => { p.openings = { use: 'all' } })">Use all</button></p>
      <SwitchField :model-value="pass.glitter" label="Glitter before lifting" @update:model-value="v => change('glitter', i, p => { p.glitter = v })" />
    </li>
    <li v-if="step.passes.length < 8"><button class="btn text-[0.87rem]" @click="more"><Plus :size="14" />Another pass</button></li>
  </ol>
</template>
