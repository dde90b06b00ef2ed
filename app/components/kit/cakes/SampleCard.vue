<script setup lang="ts">
import { ArrowLeft, ArrowLeftRight, ArrowRight, Copy, Trash2, X } from '@lucide/vue'
import {
  bestOrder,
  hueOrder,
  joinsOf,
  STRIP_WIDTH,
  takenUp,
  widthOf,
  type TriedCake,
  type Trial,
} from '#core/cake'
import { BRUSHES, linearOf, type Strip } from '#core/paint'

/** One cake that is tried: what it paints, its strips, and where they turn to mud. */
const cake = defineModel<TriedCake>({ required: true })
const { trial, picture, active } = defineProps<{
  trial: Trial
  picture: string | undefined
  active: boolean
}>()
const emit = defineEmits<{ choose: []; copy: []; remove: []; keep: [] }>()
const at = ref<number | null>(null)
/** One that is fresh is brought into view. */
const card = useTemplateRef<HTMLElement>('card')
onMounted(() => active && card.value?.scrollIntoView({ block: 'nearest' }))
const strips = computed({
  get: (): Strip[] => cake.value.strips,
  set: list => put(list),
})
function put(list: readonly Strip[]): void {
  cake.value = { ...cake.value, strips: list.map(s => ({ ...s })) }
}
const colours = computed(() => cake.value.strips.map(s => linearOf(s.colour)))
const joins = computed(() => joinsOf(colours.value))
const mud = computed(() => joins.value.filter(j => j.verdict === 'mud').length)
const best = computed(() => bestOrder(colours.value))
/** The best order leaves the strips where they are, read from either end. */
const isBest = computed(() => {
  const order = best.value
  return order.every((n, i) => n === i) || order.every((n, i) => n === order.length - 1 - i)
})
const width = computed(() => widthOf(cake.value.strips))
const covered = computed((): [number, number] | null => {
  const wide = BRUSHES[trial.brush].most
  if (width.value <= wide) return null
  const from = Math.min(trial.from, width.value - wide)
  return [from, from + wide]
})
const strip = computed(() => (at.value === null ? null : (cake.value.strips[at.value] ?? null)))
function setWidth(to: number | null): void {
  if (at.value !== null && to !== null) put(cake.value.strips.with(at.value, { ...strip.value!, width: to }))
}
function move(by: -1 | 1): void {
  const from = at.value!
  const list = [...cake.value.strips]
  const [taken] = list.splice(from, 1)
  list.splice(from + by, 0, taken!)
  put(list)
  at.value = from + by
}
function takeOut(): void {
  put(cake.value.strips.filter((_, i) => i !== at.value))
  at.value = null
}
const flip = () => put(cake.value.strips.toReversed())
const rainbow = computed(() => hueOrder(colours.value))
const isRainbow = computed(() => rainbow.value.every((n, i) => n === i))
const reorder = (order: readonly number[]) => {
  put(order.map(n => cake.value.strips[n]!))
  at.value = null
}
const onBrush = computed(() => takenUp(cake.value.strips, BRUSHES[trial.brush].most, trial.from))
const told = computed(() => {
  const names = cake.value.strips.map(s => s.name || s.colour).join(', ')
  return `A stroke of the ${BRUSHES[trial.brush].name} with ${onBrush.value.length} of ${cake.value.strips.length} strips, and a half moon of a sponge: ${names}`
})
const gradient = (way: readonly string[]) => `linear-gradient(to right, ${way.join(', ')})`
const nameAt = (i: number) => cake.value.strips[i]!.name || cake.value.strips[i]!.colour
</script>

<template>
  <section
    ref="card"
    class="flex flex-col gap-2 rounded-2xl border-2 bg-card p-2.5"
    :class="active ? 'border-mulberry' : 'border-rule'"
    :aria-label="cake.name || 'Sample'"
    data-testid="sample"
    @focusin="emit('choose')"
    @pointerdown="emit('choose')"
  >
    <div class="flex items-center gap-0.5">
      <input
        :value="cake.name"
        class="field min-w-0 flex-1 font-semibold"
        maxlength="80"
        aria-label="Name of the sample"
        @change="cake = { ...cake, name: ($event.target as HTMLInputElement).value.trim() }"
      />
      <button
        type="button"
        class="icon-btn"
        aria-label="Copy of this sample"
        v-tip="'Copy of it'"
        @click="emit('copy')"
      >
        <Copy :size="15" /></button
      ><button
        type="button"
        class="icon-btn"
        aria-label="Turn the cake round"
        v-tip="'Turn the cake round'"
        :disabled="cake.strips.length < 2"
        @click="flip"
      >
        <ArrowLeftRight :size="15" /></button
      ><button
        type="button"
        class="icon-btn"
        aria-label="Delete this sample"
        v-tip="'Delete it'"
        @click="emit('remove')"
      >
        <Trash2 :size="15" />
      </button>
    </div>
    <div class="grid aspect-[2.15] place-items-center overflow-hidden rounded-xl bg-stage">
      <img v-if="picture && cake.strips.length" :src="picture" :alt="told" class="size-full object-cover" />
      <p v-else class="px-4 text-center text-sm text-soft">
        {{ cake.strips.length ? 'Painting…' : 'Press a paint on the left, or drag it onto the cake.' }}
      </p>
    </div>
    <StripBar v-model="strips" v-model:at="at" :joins :covered />
    <div v-if="strip" class="flex items-center gap-1 rounded-lg bg-mulberry-wash px-2 py-1">
      <strong class="min-w-0 flex-1 truncate text-[0.93rem]">{{ nameAt(at!) }}</strong>
      <NumberInput
        class="w-16!"
        :model-value="strip.width"
        :min="STRIP_WIDTH.least"
        :max="STRIP_WIDTH.most"
        :step="0.5"
        :label="`Width of ${nameAt(at!)}, mm`"
        @update:model-value="setWidth"
      />mm<button
        type="button"
        class="icon-btn"
        aria-label="Strip to the left"
        v-tip="'To the left'"
        :disabled="at === 0"
        @click="move(-1)"
      >
        <ArrowLeft :size="15" /></button
      ><button
        type="button"
        class="icon-btn"
        aria-label="Strip to the right"
        v-tip="'To the right'"
        :disabled="at === cake.strips.length - 1"
        @click="move(1)"
      >
        <ArrowRight :size="15" /></button
      ><button
        type="button"
        class="icon-btn"
        aria-label="Take the strip out"
        v-tip="'Take it out'"
        @click="takeOut"
      >
        <X :size="15" />
      </button>
    </div>
    <ul class="space-y-1 text-[0.85rem] leading-snug" aria-label="Where strips meet">
      <li v-for="(j, i) in joins" :key="i" class="flex items-center gap-2" :data-verdict="j.verdict">
        <span
          class="h-3.5 w-12 shrink-0 rounded border border-edge"
          :style="{ background: gradient(j.way) }"
        />
        <span class="min-w-0"
          >{{ nameAt(i) }} and {{ nameAt(i + 1) }}:
          <strong v-if="j.verdict === 'mud'" class="text-stop">{{ j.words }}</strong><template v-else>{{
            j.words
          }}</template></span
        >
      </li>
    </ul>
    <p class="mt-auto text-[0.85rem] text-soft">
      {{ width.toFixed(1).replace('.0', '') }} mm wide<template v-if="covered"
        >; the brush takes {{ BRUSHES[trial.brush].most }} mm of it, the marked part</template
      >.
      <template v-if="mud">{{ mud === 1 ? 'One join turns' : `${mud} joins turn` }} to mud.</template>
    </p>
    <div class="flex flex-wrap gap-1.5">
      <button
        type="button"
        class="btn flex-auto"
        :disabled="cake.strips.length < 3 || isBest"
        v-tip="'As few joins as can be turn to mud; neighbours are as near in colour as can be'"
        @click="reorder(best)"
      >
        {{ isBest && cake.strips.length > 2 ? 'In best order' : 'Best order' }}</button><button
        type="button"
        class="btn flex-auto"
        :disabled="cake.strips.length < 3 || isRainbow"
        v-tip="'Hue after hue, as a rainbow has them; mud is told below'"
        @click="reorder(rainbow)"
      >
        Rainbow order</button
      ><button
        type="button"
        class="btn-main flex-auto"
        :disabled="cake.strips.length < 2"
        @click="emit('keep')"
      >
        Keep to make…
      </button>
    </div>
  </section>
</template>
