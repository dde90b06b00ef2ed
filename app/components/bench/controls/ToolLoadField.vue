<script setup lang="ts">
import { ArrowLeftRight } from '@lucide/vue'
import type { Pull, ToolLoad } from '#core/look'

/** What a sponge or a soft brush is loaded with. */
const props = defineProps<{ step: Pull }>()
const steps = useSteps()
const kit = useKit()
const edit = (label: string, recipe: (s: Pull) => void, merge: string | null = null) =>
  steps.editKind('pull', label, recipe, merge)
const put = (load: ToolLoad) =>
  edit('load', s => {
    s.load = load
  })
const load = computed(() => props.step.load)
const KINDS: readonly [ToolLoad['kind'], string][] = [
  ['one', 'one colour'],
  ['cake', 'a split cake'],
  ['double', 'a second colour on its edge'],
  ['mixed', 'two colours mixed on it'],
]
const offered = computed(() => KINDS.filter(([kind]) => kind !== 'cake' || kit.cakes.length))
function choose(kind: ToolLoad['kind']): void {
  const now = load.value
  const first = now.kind === 'one' ? now.paint : now.kind === 'cake' ? kit.refOf(kit.singles[0]!) : now.first
  const second =
    now.kind === 'double' || now.kind === 'mixed'
      ? now.second
      : kit.refOf(kit.singles.find(p => p.id !== first.id) ?? kit.singles[0]!)
  if (kind === 'one') put({ kind, paint: first })
  else if (kind === 'cake') put({ kind, cake: kit.cakeRefOf(kit.cakes[0]!), strips: null })
  else put({ kind, first, second, share: kind === 'double' ? 0.35 : 0.5 })
}
function share(event: Event): void {
  const value = Number((event.target as HTMLInputElement).value)
  edit(
    'share',
    s => {
      if ('share' in s.load) s.load.share = value
    },
    'share',
  )
}
</script>

<template>
  <div class="space-y-1.5">
    <select
      class="field"
      :value="load.kind"
      aria-label="How the tool is loaded"
      @change="choose(($event.target as HTMLSelectElement).value as ToolLoad['kind'])"
    >
      <option v-for="[kind, words] in offered" :key="kind" :value="kind">{{ words }}</option>
    </select>
    <PaintPicker
      v-if="load.kind === 'one'"
      :model-value="load.paint"
      label="Colour"
      @update:model-value="paint => put({ kind: 'one', paint })"
    />
    <CakePicker v-else-if="load.kind === 'cake'" :model-value="load" @update:model-value="put" />
    <template v-else>
      <div class="flex items-center gap-1">
        <PaintPicker
          :model-value="load.first"
          label="First colour"
          @update:model-value="
            first => load.kind !== 'one' && load.kind !== 'cake' && put({ ...load, first })
          "
        /><PaintPicker
          :model-value="load.second"
          label="Second colour"
          @update:model-value="
            second => load.kind !== 'one' && load.kind !== 'cake' && put({ ...load, second })
          "
        />
      </div>
      <label class="block text-[0.87rem]"
        >how much of the second<input
          v-kept="load.share"
          class="w-full accent-mulberry"
          type="range"
          min="0.05"
          max="0.95"
          step="0.05"
          aria-label="How much of the second"
          @change="share"
      /></label>
    </template>
    <button
      v-if="load.kind === 'cake' || load.kind === 'double'"
      class="btn px-2 text-[0.87rem]"
      v-tip="'Turn the tool over: its far end on the other side'"
      @click="
        edit('turn the tool over', s => {
          s.dark = s.dark === 'left' ? 'right' : 'left'
        })
      "
    >
      <ArrowLeftRight :size="14" />{{
        step.manner === 'turned'
          ? `far end ${step.dark === 'right' ? 'outward' : 'inward'}`
          : `far end ${step.dark} of the way`
      }}
    </button>
  </div>
</template>
