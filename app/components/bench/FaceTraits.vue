<script setup lang="ts">
import { RotateCcw, Shuffle } from '@lucide/vue'
import { faceOf, TRAIT_BOUNDS, TRAITS, traitsToBegin, type FaceCanvas, type FaceTraits } from '#core/skin'

/** What a face differs in from others of its age and build, as measures. */
const traits = defineModel<FaceCanvas['traits']>({ required: true })
const props = defineProps<{ canvas: FaceCanvas; age: number }>()

/** What faces of this age and build have. */
const usual = computed<FaceTraits | null>(() => {
  try {
    return faceOf({ ...props.canvas, traits: undefined, nudges: {} }, props.age).form.traits
  } catch {
    return null
  }
})
const rows = computed(() =>
  TRAITS.map(name => {
    const bounds = TRAIT_BOUNDS[name]
    const own = traits.value?.[name]
    const asUsual = Math.round(usual.value![name] / bounds.step) * bounds.step
    return { name, ...bounds, own, value: own ?? asUsual }
  }),
)
function put(name: keyof FaceTraits, value: number): void {
  traits.value = { ...traits.value, [name]: value }
}
/** Which of the faces to begin with comes next. */
let next = 0
function another(): void {
  next++
  const given = traitsToBegin(next, usual.value!)
  traits.value = Object.keys(given).length ? given : undefined
}
</script>

<template>
  <fieldset v-if="usual" class="space-y-1.5">
    <div class="flex flex-wrap items-center justify-between gap-2">
      <legend class="eyebrow float-left">Features</legend>
      <span class="flex gap-1.5">
        <button type="button" class="btn" @click="another"><Shuffle :size="14" />Another face</button>
        <button type="button" class="btn" :disabled="!traits" @click="traits = undefined">
          <RotateCcw :size="14" />As usual
        </button>
      </span>
    </div>
    <label
      v-for="{ name, words, unit, least, most, step, own, value } in rows"
      :key="name"
      class="grid grid-cols-[minmax(0,9.5rem)_minmax(0,1fr)_4.2rem] items-center gap-2 text-[0.87rem]"
      ><span class="first-letter:uppercase" :class="own === undefined && 'text-soft'">{{ words }}</span
      ><input
        type="range"
        class="min-w-0 accent-mulberry"
        :aria-label="`${words}, ${unit}`"
        :min="least"
        :max="most"
        :step="step"
        :value="value"
        @input="put(name, Number(($event.target as HTMLInputElement).value))"
      /><span class="text-right tabular-nums" :class="own === undefined && 'text-soft'"
        >{{ value }} {{ unit }}</span
      ></label
    >
    <p class="text-[0.87rem] text-soft">
      What is left as it is follows from age and build, from common practice <EstimateMark />.
    </p>
  </fieldset>
</template>
