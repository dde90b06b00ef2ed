<script setup lang="ts">
import { ArrowLeftRight } from '@lucide/vue'
import { AROUND, brushesFor, isAround, shapeWords, type LineStep } from '#core/look'
import { BRUSHES, widthAt } from '#core/paint'
import { shapeOf } from '#core/stroke'

/** A stroke: its brush, how it is loaded, and its numbers. */
const props = defineProps<{ step: LineStep }>()
const steps = useSteps()
const kit = useKit()
const params = computed(() =>
  isAround(props.step.shape) ? AROUND[props.step.shape].params : shapeOf(props.step.shape).params,
)
const brushes = computed(() => brushesFor(props.step.shape))
const edit = (label: string, recipe: (s: LineStep) => void) => steps.editKind('line', label, recipe)
const across = computed(
  () => BRUSHES[props.step.brush].form !== 'round' && BRUSHES[props.step.brush].form !== 'dagger',
)
const kinds = computed(
  () =>
    [
      ['one', 'one colour'],
      ...(across.value
        ? [['double', 'light and dark edge'], ...(kit.cakes.length ? [['cake', 'a split cake']] : [])]
        : []),
    ] as [LineStep['load']['kind'], string][],
)
const first = computed(() =>
  props.step.load.kind === 'one'
    ? props.step.load.paint
    : props.step.load.kind === 'double'
      ? props.step.load.dark
      : kit.refOf(kit.singles[0]!),
)
function load(kind: LineStep['load']['kind']): void {
  edit('load', s => {
    if (kind === 'one') s.load = { kind, paint: first.value }
    else if (kind === 'double')
      s.load = { kind, light: kit.refOf(kit.find('gull') ?? kit.singles[0]!), dark: first.value }
    else s.load = { kind, cake: kit.cakeRefOf(kit.cakes[0]!) }
  })
}
const widest = computed(() =>
  props.step.params.press === undefined ? null : widthAt(props.step.brush, props.step.params.press / 100),
)
</script>

<template>
  <div class="space-y-1.5">
    <p class="leading-snug">
      {{ shapeWords(step.shape)
      }}<span v-if="widest !== null" class="text-soft"
        >, {{ widest.toFixed(1) }} mm at its widest <EstimateMark
      /></span>
    </p>
    <SourceField :step="step" />
    <select
      class="field"
      :value="step.brush"
      aria-label="Brush"
      @change="
        edit('brush', s => {
          s.brush = ($event.target as HTMLSelectElement).value as LineStep['brush']
        })
      "
    >
      <option v-for="b in brushes" :key="b" :value="b">{{ BRUSHES[b].name }}</option>
    </select>
    <PaintPicker
      v-if="step.load.kind === 'one'"
      :model-value="step.load.paint"
      label="Colour"
      @update:model-value="
        p =>
          edit('colour', s => {
            s.load = { kind: 'one', paint: p }
          })
      "
    />
    <div v-else-if="step.load.kind === 'double'" class="flex items-center gap-1">
      <PaintPicker
        :model-value="step.load.light"
        label="Light edge"
        @update:model-value="
          p =>
            edit('colour', s => {
              if (s.load.kind === 'double') s.load.light = p
            })
        "
      /><PaintPicker
        :model-value="step.load.dark"
        label="Dark edge"
        @update:model-value="
          p =>
            edit('colour', s => {
              if (s.load.kind === 'double') s.load.dark = p
            })
        "
      />
    </div>
    <template v-else>
      <select
        class="field"
        :value="step.load.cake.id"
        aria-label="Split cake"
        @change="
          edit('cake', s => {
            s.load = {
              kind: 'cake',
              cake: kit.cakeRefOf(kit.find(($event.target as HTMLSelectElement).value)!),
            }
          })
        "
      >
        <option v-if="!kit.find(step.load.cake.id)" :value="step.load.cake.id">
          {{ step.load.cake.name }} (not in the kit)
        </option>
        <option v-for="c in kit.cakes" :key="c.id" :value="c.id">{{ c.name }}</option>
      </select>
      <div
        class="h-3 rounded-full border border-rule"
        aria-hidden="true"
        :style="{ background: swatchOf(kit.find(step.load.cake.id) ?? step.load.cake) }"
      />
    </template>
    <div v-if="kinds.length > 1" class="flex items-center gap-1.5">
      <select
        class="field min-w-0 flex-1 text-[0.87rem]"
        :value="step.load.kind"
        aria-label="How the brush is loaded"
        @change="load(($event.target as HTMLSelectElement).value as LineStep['load']['kind'])"
      >
        <option v-for="[kind, words] in kinds" :key="kind" :value="kind">{{ words }}</option>
      </select>
      <button
        v-if="step.load.kind !== 'one'"
        class="btn px-2 text-[0.87rem]"
        v-tip="'Turn the brush over: the dark edge on the other side'"
        @click="
          edit('dark edge', s => {
            s.dark = s.dark === 'left' ? 'right' : 'left'
          })
        "
      >
        <ArrowLeftRight :size="14" />dark {{ step.dark }}
      </button>
    </div>
    <ParamsField :params="params" :value="step.params" />
  </div>
</template>
