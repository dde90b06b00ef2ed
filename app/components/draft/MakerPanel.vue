<script setup lang="ts">
import {
  added,
  blankDraft,
  bordered,
  mirroredHalf,
  openingOf,
  placed,
  repeated,
  sizeOfMotif,
  type Draft,
  type DraftOpening,
} from '#core/draft'
import { centroidOf, type Point } from '#core/geometry'

/** What a sheet that is drawn is made of: its size, motifs of the drawer, repeats, borders, a mirrored half. */
const props = defineProps<{ draft: Draft; chosen: number | null; line: readonly Point[] | null }>()
const emit = defineEmits<{ put: [draft: Draft, words: string]; draw: [] }>()
const drawer = useDrawer()
const problem = ref('')
const size = reactive({ width: props.draft.width, height: props.draft.height, radius: 5 })
const from = ref('')
const opening = ref(-1)
const scale = ref(100)
const how = reactive({ across: 14, down: 12, shift: 0.5, margin: 6, flip: false })
const step = ref(10)

const source = computed(() => (from.value ? (drawer.shapes.get(from.value) ?? null) : null))
watch(from, async id => {
  opening.value = -1
  if (id) await drawer.ensure([id]).catch(() => {})
})
/** The motif: the chosen opening of the sheet, or what was taken from the drawer. */
const motif = computed<DraftOpening[]>(() => {
  const k = Math.min(400, Math.max(5, scale.value || 100)) / 100
  if (from.value) {
    const polygons = source.value
      ? source.value.openings.filter((_, i) => opening.value < 0 || i === opening.value)
      : []
    const [x, y] = centroidOf(polygons)
    return polygons.map(p => placed(openingOf(p), [-x * k, -y * k], 0, k))
  }
  const own = props.chosen === null ? null : props.draft.openings[props.chosen]
  return own ? [own] : []
})
const motifSize = computed(() => (motif.value.length ? sizeOfMotif(motif.value) : null))
watch(motifSize, (now, before) => {
  if (!now || (before && Math.abs(before.width - now.width) < 1e-6)) return
  how.across = Math.round(10 * (now.width + 1.5)) / 10
  how.down = Math.round(10 * (now.height + 1.5)) / 10
  step.value = how.across
})
function doing(make: () => Draft, words: string): void {
  problem.value = ''
  try {
    emit('put', make(), words)
  } catch (error) {
    problem.value = sentencesOf(error).join(' ')
  }
}
/** Without what was chosen, which becomes part of the repeat. */
const rest = () =>
  from.value || props.chosen === null ? props.draft : { ...props.draft, openings: props.draft.openings.filter((_, i) => i !== props.chosen) } // prettier-ignore
function resize(): void {
  const { width, height, radius } = size
  if (!(width >= 20 && width <= 500 && height >= 20 && height <= 500)) {
    problem.value = "A stencil's sides must be between 20 and 500 mm."
    return
  }
  doing(
    () => ({ ...blankDraft(width, height, Math.max(0, radius || 0)), openings: props.draft.openings }),
    'the size',
  )
}
</script>

<template>
  <section class="space-y-4" aria-label="What the stencil is made of">
    <p v-if="problem" role="alert" class="text-sm text-stop">{{ problem }}</p>
    <form class="space-y-1" @submit.prevent="resize()">
      <h2 class="eyebrow">Stencil, mm</h2>
      <div class="grid grid-cols-3 gap-2 text-sm">
        <label
          >wide<NumberInput
            live
            v-model="size.width"
            :min="20"
            :max="500"
            :step="1"
            @update:model-value="resize()"
        /></label>
        <label
          >tall<NumberInput
            live
            v-model="size.height"
            :min="20"
            :max="500"
            :step="1"
            @update:model-value="resize()"
        /></label>
        <label
          >corners<NumberInput
            live
            v-model="size.radius"
            :min="0"
            :max="60"
            :step="1"
            @update:model-value="resize()"
        /></label>
      </div>
    </form>
    <div class="space-y-1">
      <h2 class="eyebrow">Motif</h2>
      <select v-model="from" class="field" aria-label="Motif from">
        <option value="">the opening chosen on the stencil</option>
        <option v-for="s in drawer.list" :key="s.id" :value="s.id">{{ s.name }}</option>
      </select>
      <div v-if="source" class="flex items-center gap-2">
        <div class="h-28 w-40 rounded-lg bg-stage">
          <SheetDrawing
            :sheet="source"
            pickable
            :chosen="new Set(opening < 0 ? [] : [opening])"
            @pick="opening = opening === $event ? -1 : $event"
          />
        </div>
        <p class="text-sm text-soft">Press one opening, or none for all of them.</p>
      </div>
      <label v-if="from" class="flex items-center gap-1 text-sm"
        >size
        <NumberInput
          live
          v-model="scale"
          class="w-20!"
          :min="5"
          :max="400"
          :step="5"
          label="Size of the motif, per cent"
        />
        %</label
      >
      <p v-if="motifSize" class="text-sm">
        {{ motifSize.width.toFixed(1) }} × {{ motifSize.height.toFixed(1) }} mm
      </p>
      <button
        v-if="from"
        class="btn"
        :disabled="!motif.length"
        @click="doing(() => added(draft, motif), 'the motif')"
      >
        Put it in the middle
      </button>
    </div>
    <div class="space-y-1">
      <h2 class="eyebrow">Repeat it over the stencil</h2>
      <div class="grid grid-cols-2 gap-2 text-sm">
        <label
          >step across, mm<NumberInput live v-model="how.across" :min="1" :max="200" :step="0.5"
        /></label>
        <label>step down, mm<NumberInput live v-model="how.down" :min="1" :max="200" :step="0.5" /></label>
        <label
          >rows shifted by<select v-model.number="how.shift" class="field">
            <option :value="0">nothing</option>
            <option :value="0.5">half a step</option>
            <option :value="0.333">a third</option>
          </select></label
        >
        <label>margin, mm<NumberInput live v-model="how.margin" :min="2" :max="60" :step="0.5" /></label>
      </div>
      <label class="flex items-center gap-1 text-sm"
        ><input v-model="how.flip" type="checkbox" class="accent-mulberry" /> every other row mirrored</label
      >
      <button
        class="btn"
        :disabled="!motif.length"
        @click="doing(() => added(rest(), repeated(draft, motif, how)), 'the repeat')"
      >
        Repeat
      </button>
    </div>
    <div class="space-y-1">
      <h2 class="eyebrow">Border along a line</h2>
      <div class="flex flex-wrap items-end gap-2 text-sm">
        <label
          >step, mm<NumberInput live v-model="step" class="w-20!" :min="1" :max="200" :step="0.5"
        /></label>
        <button class="btn" @click="emit('draw')">{{ line ? 'Draw another line' : 'Draw the line' }}</button>
        <button
          class="btn"
          :disabled="!motif.length || !line"
          @click="doing(() => added(rest(), bordered(motif, line ?? [], step)), 'the border')"
        >
          Set along it
        </button>
      </div>
      <p v-if="!line" class="text-sm text-soft">Press its points on the stencil; Enter ends it.</p>
    </div>
    <div>
      <h2 class="eyebrow">Mirror</h2>
      <button
        class="btn mt-1"
        :disabled="!draft.openings.length"
        @click="doing(() => mirroredHalf(draft), 'the mirrored half')"
      >
        Left half to the right
      </button>
    </div>
  </section>
</template>
