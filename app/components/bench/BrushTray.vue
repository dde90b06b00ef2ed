<script setup lang="ts">
import { AROUND, AROUND_IDS, shapeWords, STARTER_IDS, starterOf, suits } from '#core/look'
import { DOT_RUNS, dotShape, SHAPE_IDS, shapeOf } from '#core/stroke'

/** Strokes, dots and whole arrangements for the brush. */
const selection = useSelection()
const scene = useScene()
const colour = useColour()
const strokes = useStrokes()
const arrangements = useArrangements()
const settings = useSettings()
const which = ref<'strokes' | 'arrangements'>('strokes')
const starters = computed(() => STARTER_IDS.filter(id => suits(starterOf(id), scene.ground)))
const families = [
  ['line', 'Lines'],
  ['flat', 'Flat brush'],
  ['figure', 'Figures'],
  ['edge', 'Edges'],
  ['eye', 'Eyes'],
] as const
const listed = computed(() =>
  families
    .map(([family, words]) => ({
      words,
      ids: SHAPE_IDS.filter(id => shapeOf(id).family === family && (family !== 'eye' || scene.ground.face)),
    }))
    .filter(f => f.ids.length),
)
</script>

<template>
  <div class="flex h-full flex-col">
    <div class="m-3 mb-2 shrink-0 space-y-2">
      <SegmentedChoice
        v-model="which"
        label="Strokes or arrangements"
        :options="[
          ['strokes', 'Strokes'],
          ['arrangements', 'Arrangements'],
        ]"
      />
      <PaintPicker
        v-if="colour.now"
        class="w-full"
        :model-value="colour.now"
        label="Colour of the next stroke"
        @update:model-value="
          p => {
            colour.chosen = p
          }
        "
      />
      <NoPaints v-else />
      <SwitchField v-if="scene.ground.face" v-model="settings.twinNew" label="New strokes get a twin" />
    </div>
    <div class="min-h-0 flex-1 space-y-2.5 overflow-y-auto px-3 pb-3">
      <template v-if="which === 'strokes'">
        <section v-for="f in listed" :key="f.words">
          <h3 class="eyebrow mb-1">{{ f.words }}</h3>
          <div class="grid grid-cols-3 gap-1.5">
            <button
              v-for="id in f.ids"
              :key="id"
              class="tile"
              :data-shape="id"
              v-tip="shapeWords(id)"
              @click="strokes.addLine(id)"
            >
              <ShapeIcon :shape="id" /><span>{{ shapeWords(id).split(',')[0] }}</span>
            </button>
          </div>
        </section>
        <section>
          <h3 class="eyebrow mb-1">Filled in</h3>
          <div class="flex flex-wrap gap-1">
            <button class="btn text-[0.87rem]" data-filled="round" @click="strokes.addFilled(false)">
              round shape</button
            ><button class="btn text-[0.87rem]" data-filled="corners" @click="strokes.addFilled(true)">
              with corners
            </button>
          </div>
        </section>
        <section>
          <h3 class="eyebrow mb-1">Dots</h3>
          <div class="grid grid-cols-3 gap-1.5">
            <button
              v-for="run in DOT_RUNS"
              :key="run"
              class="tile"
              :data-run="run"
              @click="strokes.addDots(run)"
            >
              <ShapeIcon :run="run" /><span>{{ dotShape(run).words.split(',')[0] }}</span>
            </button>
          </div>
        </section>
        <section>
          <h3 class="eyebrow mb-1">Marks to go by, not painted</h3>
          <div class="flex flex-wrap gap-1">
            <button class="btn text-[0.87rem]" data-guide="dots" @click="strokes.addGuide('dots')">
              a dot</button
            ><button class="btn text-[0.87rem]" data-guide="line" @click="strokes.addGuide('line')">
              a line
            </button>
          </div>
        </section>
        <section>
          <h3 class="eyebrow mb-1">
            Around {{ selection.step ? `"${selection.step.label}"` : 'the last print' }}
          </h3>
          <div class="flex flex-wrap gap-1">
            <button
              v-for="id in AROUND_IDS"
              :key="id"
              class="btn text-[0.87rem]"
              @click="strokes.addAround(id)"
            >
              {{ AROUND[id].words }}</button><button
              class="btn text-[0.87rem]"
              @click="strokes.addDots('around')"
            >
              dots around</button
            ><button class="btn text-[0.87rem]" @click="strokes.addDots('each')">a dot on each</button
            ><button class="btn text-[0.87rem]" @click="strokes.addDots('ends')">dots at stroke ends</button>
          </div>
        </section>
      </template>
      <template v-else>
        <p class="text-[0.87rem] leading-snug text-soft">
          Groups of strokes that fit themselves to this {{ scene.ground.words }}. Every stroke stays editable;
          G selects the whole.
        </p>
        <button
          v-for="id in starters"
          :key="id"
          class="block w-full rounded-lg border border-rule bg-card p-1.5 text-left hover:border-mulberry"
          :data-starter="id"
          @click="arrangements.addStarter(id)"
        >
          <StarterIcon :starter="id" /><span class="block leading-tight font-semibold">{{
            starterOf(id).words
          }}</span
          ><span class="block text-[0.8rem] leading-tight text-soft">{{ starterOf(id).what }}</span>
        </button>
      </template>
    </div>
  </div>
</template>

<style scoped>
.tile {
  border: 1px solid var(--color-rule);
  border-radius: 0.5rem;
  background: var(--color-card);
  padding: 0.25rem;
  color: var(--color-ink);
  font-size: 0.8rem;
  line-height: 1.1;
  text-align: center;
}
.tile:hover {
  border-color: var(--color-mulberry);
  color: var(--color-mulberry);
}
</style>
