<script setup lang="ts">
import {
  cakeGrams,
  cutsOf,
  joinsOf,
  SIZES,
  strokesOf,
  TOLD_STROKE,
  widthOf,
  type TriedCake,
} from '#core/cake'
import { brushFilm, linearOf, safeNear, type CakeSize, type Paint } from '#core/paint'
import { toast } from 'vue-sonner'
import { draftOf, usual } from '../paintDraft'

/** Keeps a tried cake among the paints as one that is still to be made, with what to cut for it. */
const { cake } = defineProps<{ cake: TriedCake }>()
const emit = defineEmits<{ close: [] }>()
const kit = useKit()
const name = ref(cake.name)
const size = ref<CakeSize>({ length: 40, depth: 5 })
const problems = ref<string[]>([])
const working = ref(false)
const cuts = computed(() => cutsOf(cake.strips, size.value, kit.paints))
const strokes = computed(() => strokesOf(size.value, brushFilm('flat19')))
const mud = computed(
  () => joinsOf(cake.strips.map(s => linearOf(s.colour))).filter(j => j.verdict === 'mud').length,
)
/** What the cake is like follows from the paints that it is cut from; the widest strip stands for its colour. */
const made = computed((): Omit<Paint, 'id'> => {
  const parts = cuts.value.flatMap(c => c.paint ?? [])
  const widest = cake.strips.reduce((a, b) => (b.width > a.width ? b : a))
  const [first] = parts
  return {
    ...usual({ ...draftOf(null), colour: widest.colour }),
    name: name.value.trim(),
    finish: first && parts.every(p => p.finish === first.finish) ? first.finish : 'matte',
    strips: cake.strips.map(s => ({ ...s })),
    eyeSafe: true,
    lipSafe: true,
    months: Math.min(24, ...parts.map(p => p.months)),
    cakeGrams: Math.max(1, cakeGrams(cake.strips, size.value)),
    toMake: { ...size.value },
  }
})
const unsafe = computed(() => {
  const is = (what: 'eyes' | 'lips') => safeNear({ ...made.value, id: '' }, what, kit.paints)
  return [...(is('eyes') ? [] : ['near the eyes']), ...(is('lips') ? [] : ['on lips'])].join(' or ')
})
async function keep(): Promise<void> {
  if (working.value) return
  working.value = true
  try {
    const kept = await kit.save(made.value, null)
    toast(`${kept.name} is kept to be made; it can be used in looks already`)
    emit('close')
  } catch (error) {
    problems.value = sentencesOf(error)
  }
  working.value = false
}
</script>

<template>
  <PanelDialog open title="Keep this cake to make" @close="emit('close')">
    <form class="space-y-3" @submit.prevent="keep">
      <div
        class="h-8 rounded-lg border border-edge"
        :style="{ background: swatchOf({ colour: '', strips: cake.strips }) }"
      />
      <label class="block">Name<input v-model="name" class="field" maxlength="80" required /></label>
      <div class="grid grid-cols-3 gap-2">
        <label
          >Length, mm<NumberInput
            live
            v-model="size.length"
            :min="SIZES.length[0]"
            :max="SIZES.length[1]"
            label="Length of the cake, mm" /></label
        ><label
          >Depth, mm<NumberInput
            live
            v-model="size.depth"
            :min="SIZES.depth[0]"
            :max="SIZES.depth[1]"
            label="Depth of the cake, mm"
        /></label>
        <p class="self-end pb-1.5 text-soft">{{ widthOf(cake.strips) }} mm wide</p>
      </div>
      <CutTable :cuts />
      <p class="text-[0.93rem] text-soft">
        About {{ strokes }} strokes of {{ TOLD_STROKE }} mm as wide as the cake, {{ made.cakeGrams }} g
        <EstimateMark />. A tenth more is cut than it holds: crumbs are lost.
      </p>
      <p v-if="cuts.some(c => c.leaves !== null && c.leaves < 0)" class="text-care">
        <strong>Warning</strong> Not enough of a paint is left by what you noted; cut thinner or shorter.
      </p>
      <p v-if="mud" class="text-care">
        <strong>Warning</strong> {{ mud === 1 ? 'One join turns' : `${mud} joins turn` }} to mud where wet
        strips run into each other.
      </p>
      <p v-if="unsafe" class="text-care">
        <strong>Warning</strong> By its strips' labels not for use {{ unsafe }}.
      </p>
      <p class="text-sm text-soft">
        Cut with a clean blade on a clean board; do not cut cakes that others have used. The labels and local
        rules come first.
      </p>
      <div v-if="problems.length" role="alert" class="rounded-lg border border-stop p-2 text-stop">
        <p v-for="p in problems" :key="p">{{ p }}</p>
      </div>
      <div class="flex justify-end gap-2">
        <button type="button" class="btn" @click="emit('close')">Cancel</button
        ><button class="btn-main" :disabled="working">Keep to make</button>
      </div>
    </form>
  </PanelDialog>
</template>
