<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core'
import { Plus, Redo2, Undo2 } from '@lucide/vue'
import { toast } from 'vue-sonner'
import { FLAT_BRUSHES, MOST_STRIPS, MOST_TRIED, widthOf, type TriedCake } from '#core/cake'
import { BRUSHES, type Strip } from '#core/paint'

/** Strip cakes by sample: several are tried side by side, and one is kept to be made. */
const kit = useKit()
const { cakes, chosen, trial, pictures, failed, history, load, add, remove } = useTriedCakes()
const keeping = shallowRef<TriedCake | null>(null)
const loading = ref(true)
onMounted(async () => {
  try {
    await load()
  } catch (error) {
    failed.value = sentencesOf(error)
  }
  loading.value = false
})

const toMake = computed(() => kit.paints.filter(p => p.toMake))
const brushes = FLAT_BRUSHES.map(b => [b, `${BRUSHES[b].most} mm`] as const)
const GOES = [
  ['once', 'once'],
  ['soft', 'until soft'],
] as const
const goes = computed({
  get: () => (trial.value.soft ? 'soft' : 'once'),
  set: to => (trial.value.soft = to === 'soft'),
})
/** The widest cake, mm: as far in as the brush can be set. */
const widest = computed(() => Math.max(0, ...cakes.value.map(c => widthOf(c.strips))))
const room = computed(() => Math.max(0, widest.value - BRUSHES[trial.value.brush].most))
const full = computed(() => cakes.value.length >= MOST_TRIED)
/** A pressed paint goes to the chosen cake; the first one makes it. */
function take(strip: Strip): void {
  const cake = cakes.value.find(c => c.id === chosen.value)
  if (!cake) add([strip])
  else if (cake.strips.length < MOST_STRIPS) cake.strips.push({ ...strip })
  else toast(`${cake.name} has ${MOST_STRIPS} strips, as many as a cake can have.`)
}
/** Strips of a cake that there is, to begin with. */
function begin(event: Event): void {
  const box = event.target as HTMLSelectElement
  const from = kit.find(box.value)
  box.value = ''
  if (from) add(from.strips, `${from.name.slice(0, 70)}, other`)
}
onKeyStroke(['z', 'Z', 'y'], event => {
  const typing = (event.target as HTMLElement).closest('input, textarea, select')
  if (!(event.ctrlKey || event.metaKey) || typing || keeping.value) return
  event.preventDefault()
  if (event.shiftKey || event.key === 'y') history.redo()
  else history.undo()
})
</script>

<template>
  <div class="grid grid-cols-[minmax(0,1fr)] gap-5 lg:grid-cols-[230px_minmax(0,1fr)]">
    <PaintWall class="self-start lg:sticky lg:top-4" @take="take" />
    <div class="min-w-0">
      <div class="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <span class="flex items-center gap-2 text-soft"
          >Flat brush<SegmentedChoice
            v-model="trial.brush"
            class="w-48"
            label="Flat brush"
            :options="brushes"
        /></span>
        <span class="flex items-center gap-2 text-soft"
          >gone over<SegmentedChoice v-model="goes" class="w-40" label="Gone over" :options="GOES"
        /></span>
        <label v-if="room > 0" class="flex items-center gap-2 text-soft"
          >brush set<input
            v-model.number="trial.from"
            type="range"
            min="0"
            :max="room"
            step="0.5"
            class="w-24 accent-mulberry"
            aria-label="How far in the brush is set, mm"
          /><span class="tabular-nums">{{ Math.min(trial.from, room) }} mm in</span></label
        >
        <SkinChoice
          :model-value="trial.skin"
          label="Skin of the samples"
          what="Try on"
          @update:model-value="trial.skin = $event ?? trial.skin"
        />
        <span class="ml-auto flex items-center gap-1.5">
          <button
            class="icon-btn"
            aria-label="Undo"
            v-tip="'Undo (Ctrl Z)'"
            :disabled="!history.canUndo.value"
            @click="history.undo()"
          >
            <Undo2 :size="17" /></button
          ><button
            class="icon-btn"
            aria-label="Redo"
            v-tip="'Redo (Ctrl Y)'"
            :disabled="!history.canRedo.value"
            @click="history.redo()"
          >
            <Redo2 :size="17" />
          </button>
          <select
            v-if="kit.cakes.length && !full"
            class="field w-44!"
            aria-label="Begin from a cake of the kit"
            @change="begin"
          >
            <option value="">Begin from a cake…</option>
            <option v-for="p in kit.cakes" :key="p.id" :value="p.id">{{ p.name }}</option></select
          ><button class="btn-main" :disabled="full" @click="add([])">
            <Plus :size="15" />Another sample
          </button>
        </span>
      </div>
      <p v-for="s in failed" :key="s" role="alert" class="mb-2 text-stop">{{ s }}</p>
      <p v-if="full" class="mb-2 text-soft">
        {{ MOST_TRIED }} samples are as many as are tried side by side.
      </p>
      <div
        v-if="!cakes.length && !loading"
        class="rounded-2xl border border-dashed border-rule p-12 text-center"
        data-testid="no-samples"
      >
        <p class="font-display text-xl">Try strips side by side before a cake is cut</p>
        <p class="mx-auto mt-1 max-w-[34rem] text-soft">
          Press paints on the left: each becomes a strip. The stroke of a flat brush and the half moon of a
          sponge are painted at once, and it is told which neighbours turn to mud.
        </p>
      </div>
      <div v-else class="grid grid-cols-[repeat(auto-fill,minmax(290px,1fr))] gap-3">
        <SampleCard
          v-for="(c, i) in cakes"
          :key="c.id"
          v-model="cakes[i]!"
          :trial
          :picture="pictures.get(c.id)"
          :active="chosen === c.id"
          @choose="chosen = c.id"
          @copy="add(c.strips, `${c.name.slice(0, 70)}, other`, c.id)"
          @remove="remove(c.id)"
          @keep="keeping = c"
        />
      </div>
      <template v-if="toMake.length">
        <h2 class="mt-6 mb-2 font-display text-lg font-semibold">To make</h2>
        <div class="grid grid-cols-[repeat(auto-fill,minmax(330px,1fr))] items-start gap-3">
          <ToMakeCard v-for="p in toMake" :key="p.id" :paint="p" />
        </div>
      </template>
    </div>
    <KeepDialog v-if="keeping" :cake="keeping" @close="keeping = null" />
  </div>
</template>
