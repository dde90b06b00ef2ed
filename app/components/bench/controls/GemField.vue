<script setup lang="ts">
import { eyeClearance, regionsOf } from '#core/checks'
import { GEM_COLOURS, GEM_CUTS, type GemStep } from '#core/look'

/** Gems: cut, colour, size, and what holds them. */
const props = defineProps<{ step: GemStep }>()
const scene = useScene()
const steps = useSteps()
const gems = useGems()
const edit = (label: string, recipe: (s: GemStep) => void) => steps.editKind('gem', label, recipe)
const clear = computed(() => eyeClearance(props.step, scene.world, regionsOf(scene.ground).eyes))
const sparkles = useSparkles()
type Offered = GemStep['colour'] & Partial<Pick<GemStep, 'cut' | 'size'>>
/** Those of every kit, and the painter's own with their cut and size. */
const offered = computed<Offered[]>(() => [...GEM_COLOURS, ...sparkles.all.gems])
const pick = ({ cut, size, ...colour }: Offered) =>
  edit('colour', s => {
    s.colour = { ...colour }
    if (cut) s.cut = cut
    if (size) s.size = size
  })
const sized = (size: number | null) =>
  edit('size', s => {
    s.size = size!
  })
</script>

<template>
  <div class="space-y-1.5">
    <div class="flex flex-wrap gap-1">
      <button
        v-for="cut in GEM_CUTS"
        :key="cut"
        class="chip capitalize"
        :aria-pressed="step.cut === cut"
        @click="
          edit('cut', s => {
            s.cut = cut
          })
        "
      >
        {{ cut }}
      </button>
    </div>
    <ColourDots :colours="offered" :name="step.colour.name" @pick="pick" />
    <div class="grid grid-cols-2 gap-1.5 text-[0.87rem]">
      <label
        >size, mm<NumberInput
          :model-value="step.size"
          :min="1"
          :max="25"
          :step="0.5"
          label="Size, mm"
          @update:model-value="sized"
      /></label>
      <label
        >held by<select
          class="field"
          :value="step.fix"
          aria-label="What holds it"
          @change="
            edit('what holds it', s => {
              s.fix = ($event.target as HTMLSelectElement).value as GemStep['fix']
            })
          "
        >
          <option value="self-adhesive">its own adhesive</option>
          <option value="glued">skin-safe glue</option>
        </select></label
      >
    </div>
    <div class="flex flex-wrap gap-1">
      <button class="btn px-2 py-0.5 text-[0.87rem]" @click="gems.place('midline')">on the midline</button
      ><button
        v-if="scene.ground.face"
        class="btn px-2 py-0.5 text-[0.87rem]"
        @click="gems.place('eye corners')"
      >
        at the eye corners</button
      ><button class="btn px-2 py-0.5 text-[0.87rem]" @click="gems.place('dots')">on the dots</button>
    </div>
    <p v-if="scene.ground.face" class="text-[0.87rem] text-soft">
      {{ Math.max(0, clear).toFixed(0) }} mm clear of the nearest eye <EstimateMark />
    </p>
  </div>
</template>
