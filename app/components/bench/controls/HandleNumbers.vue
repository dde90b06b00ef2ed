<script setup lang="ts">
import { tenth, type Point } from '#core/geometry'
import { whereIs, type MarkStep } from '#core/look'

/** A handle by numbers: how far it lies from a landmark, for what is measured and not drawn. */
const props = defineProps<{ step: MarkStep }>()
const scene = useScene()
const shaping = useShaping()
const handle = ref(0)
watch(
  () => [props.step.id, props.step.points.length],
  () => {
    handle.value = Math.min(handle.value, props.step.points.length - 1)
  },
)
const at = computed<Point>(() => props.step.points[handle.value] ?? [0, 0])
/** The landmark that was chosen; the nearest one until somebody chose. */
const chosen = ref<string | null>(null)
const mark = computed(
  () => scene.ground.marks.find(m => m.id === chosen.value) ?? whereIs(scene.ground, at.value).nearest,
)
const off = computed<Point>(() => [
  tenth(at.value[0] - mark.value.at[0]),
  tenth(at.value[1] - mark.value.at[1]),
])
function put(axis: 0 | 1, mm: number): void {
  // The landmark is kept: once the handle has moved another may be nearer.
  chosen.value = mark.value.id
  const to: [number, number] = [at.value[0], at.value[1]]
  to[axis] = tenth(mark.value.at[axis] + mm)
  shaping.moveHandle(handle.value, to)
}
const NUMBERS = [
  ['right of it', 0],
  ['below it', 1],
] as const
</script>

<template>
  <details class="rounded-lg border border-rule px-2 py-1 text-[0.87rem]">
    <summary>By numbers, from a landmark</summary>
    <div class="mt-1 grid grid-cols-2 gap-1.5">
      <label
        >handle<select v-model.number="handle" class="field" aria-label="Handle">
          <option v-for="(_, n) in step.points" :key="n" :value="n">{{ n + 1 }}</option>
        </select></label
      >
      <label
        >from<select
          class="field"
          :value="mark.id"
          aria-label="Landmark it is measured from"
          @change="chosen = ($event.target as HTMLSelectElement).value"
        >
          <option v-for="m in scene.ground.marks" :key="m.id" :value="m.id">{{ m.words }}</option>
        </select></label
      >
      <NumberField
        v-for="[words, axis] in NUMBERS"
        :key="words"
        :model-value="off[axis]"
        :label="words"
        unit="mm"
        :least="-400"
        :most="400"
        :step="0.5"
        @update:model-value="mm => put(axis, mm)"
      />
    </div>
  </details>
</template>
