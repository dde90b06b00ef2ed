<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { LoaderCircle } from '@lucide/vue'
import { copied, withSmallerSheets, type Moved } from '#core/look'
import {
  armMeasures,
  armProblems,
  BUILDS,
  FACE_PARTS,
  faceOf,
  OLDEST,
  PLAIN_FACE,
  TAPE_BOUNDS,
  tapeOf,
  tapeProblems,
  YOUNGEST,
  type ArmCanvas,
  type Canvas,
  type FaceCanvas,
  type TapeMeasures,
  partWords,
} from '#core/skin'

const emit = defineEmits<{ close: [] }>()
const session = useSession()
const drawer = useDrawer()
const worker = useSheetWorker()
const painter = usePainter()
const start = toRaw(session.look!)
const kinds = [
  ['face', 'A face'],
  ['arm', 'An arm'],
  ['board', 'The practice board'],
] as const

const kind = ref<Canvas['kind']>(start.canvas.kind)
const age = ref(start.skin.age)
const face = ref<FaceCanvas>(
  copied(
    start.canvas.kind === 'face'
      ? start.canvas
      : { ...PLAIN_FACE, build: start.canvas.kind === 'board' ? start.canvas.build : 'fine' },
  ),
)
const arm = ref<ArmCanvas>(
  copied(
    start.canvas.kind === 'arm'
      ? start.canvas
      : { kind: 'arm', part: 'forearm', side: 'left', measures: null },
  ),
)
// Plain data, as it crosses to the worker.
const canvas = computed<Canvas>(() =>
  JSON.parse(
    JSON.stringify(
      kind.value === 'face'
        ? face.value
        : kind.value === 'arm'
          ? arm.value
          : { kind: 'board', build: face.value.build },
    ),
  ),
)
const builds = { broad: 'broad (average man)', fine: 'fine (average woman)' } as const

const aged = computed(() => age.value >= YOUNGEST && age.value <= OLDEST)
function measureFace(on: boolean): void {
  face.value = {
    ...face.value,
    measures:
      on && aged.value
        ? tapeOf(faceOf({ build: face.value.build, measures: null, nudges: {} }, age.value))
        : null,
  }
}
const tape = (name: keyof TapeMeasures, mm: number) => {
  face.value = { ...face.value, measures: { ...face.value.measures!, [name]: mm } }
}
const TAPE = ['temples', 'hairlineToBrow', 'browToChin', 'innerEyes', 'mouth'] as const
const tapes = computed(() => {
  const { measures } = face.value
  return measures && TAPE.map(name => ({ name, words: TAPE_BOUNDS[name].words, mm: measures[name] }))
})
const ARM_WORDS = {
  'forearm': { upper: 'girth below the elbow', lower: 'girth at the wrist', length: 'elbow to wrist' },
  'upper arm': { upper: 'girth at the top', lower: 'girth above the elbow', length: 'shoulder to elbow' },
} as const
const girths = computed(() => {
  const { measures, part } = arm.value
  const names = ['upper', 'lower', 'length'] as const
  return measures && names.map(name => ({ name, words: ARM_WORDS[part][name], mm: measures[name] }))
})
const measureArm = (on: boolean) => {
  arm.value = { ...arm.value, measures: on && aged.value ? armMeasures(arm.value, age.value) : null }
}
const girth = (name: 'upper' | 'lower' | 'length', mm: number) => {
  arm.value = { ...arm.value, measures: { ...arm.value.measures!, [name]: mm } }
}

/** What is wrong with what was typed; the last good state stays in the picture. */
const problems = computed<string[]>(() =>
  !aged.value
    ? [`An age of ${age.value} cannot be: faces are drawn for ${YOUNGEST} to ${OLDEST} years.`]
    : kind.value === 'face' && face.value.measures
      ? tapeProblems(face.value.measures)
      : kind.value === 'arm' && arm.value.measures
        ? armProblems(arm.value.measures)
        : [],
)
/**
 * What is asked for, and what was last answered: until they are the same, what is shown is of something else.
 */
const asked = computed(() => JSON.stringify([canvas.value, age.value]))
const answered = ref('')
const busy = computed(() => asked.value !== answered.value && !problems.value.length)
const refused = ref('')
const moved = shallowRef<Moved | null>(null)
const picture = ref('')
const taken = ref<string[]>([])
const accepted = computed(
  () => moved.value?.misfits.filter(m => m.instead && taken.value.includes(m.stepId)) ?? [],
)
const next = computed(
  () => moved.value && withSmallerSheets(moved.value.look, accepted.value, id => drawer.find(id)?.name),
)

const work = newestOnly(async () => {
  if (problems.value.length) return
  const mine = asked.value
  const to = canvas.value
  const years = age.value
  try {
    await worker.knowDrawer()
    const answer = await worker.moved(start, to, years)
    refused.value = answer.ok ? '' : answer.sentence
    if (answer.ok) {
      moved.value = answer.moved
      taken.value = taken.value.filter(id => answer.moved.misfits.some(m => m.stepId === id && m.instead))
    }
  } catch (error) {
    refused.value = `The look could not be moved there (${error instanceof Error ? error.message : error}). It stays as it is.`
  } finally {
    answered.value = mine
  }
})
watchDebounced([canvas, age], () => work(), { debounce: 250, immediate: true })
const paint = newestOnly(async () => {
  if (!next.value) return
  await drawer.ensure(accepted.value.map(m => m.instead!.id))
  picture.value = canvasOf(await painter.paint(next.value, 1.6)).toDataURL()
})
watch(next, () => paint())

async function apply(): Promise<void> {
  const look = next.value
  if (!look) return
  await drawer.ensure(accepted.value.map(m => m.instead!.id))
  session.edit(
    'another canvas',
    draft =>
      void Object.assign(
        draft,
        copied({ canvas: look.canvas, skin: look.skin, focus: look.focus, steps: look.steps }),
      ),
  )
  emit('close')
}
const same = computed(
  () => JSON.stringify([canvas.value, age.value]) === JSON.stringify([start.canvas, start.skin.age]),
)
</script>

<template>
  <PanelDialog open wide title="What is it painted on?" @close="emit('close')">
    <div class="grid grid-cols-[minmax(0,1fr)] md:grid-cols-[1fr_270px] gap-5">
      <div class="space-y-3">
        <SegmentedChoice v-model="kind" label="Kind of canvas" :options="kinds" />
        <div class="grid grid-cols-2 gap-3">
          <label>Age, years<NumberInput live v-model="age" label="Age, years" /></label>
          <label v-if="kind !== 'arm'"
            >Build<select v-model="face.build" class="field" aria-label="Build">
              <option v-for="b in BUILDS" :key="b" :value="b">{{ builds[b] }}</option>
            </select></label
          >
          <label v-if="kind === 'face'"
            >Part<select v-model="face.part" class="field" aria-label="Part of the face">
              <option v-for="p in FACE_PARTS" :key="p" :value="p">
                {{ p === 'whole' ? 'whole face' : `their ${partWords(p)}` }}
              </option>
            </select></label
          >
          <template v-if="kind === 'arm'">
            <label
              >Part<select v-model="arm.part" class="field" aria-label="Part of the arm">
                <option value="forearm">forearm</option>
                <option value="upper arm">upper arm</option>
              </select></label
            >
            <label
              >Their<select v-model="arm.side" class="field" aria-label="Which arm">
                <option value="left">left arm</option>
                <option value="right">right arm</option>
              </select></label
            >
          </template>
        </div>
        <template v-if="kind === 'face'">
          <SwitchField
            :model-value="face.measures !== null"
            label="Measured with a tape"
            @update:model-value="measureFace"
          />
          <TapeFields v-if="tapes" class="grid-cols-2" :fields="tapes" :step="0.5" @measure="tape" />
          <p v-else class="text-[0.87rem] text-soft">
            Sizes follow from age and build, from published means
            <EstimateMark />. Five measures make it this person's face; single features can then be moved on
            the face itself.
          </p>
          <FaceTraits
            v-if="aged"
            :model-value="face.traits"
            :canvas="face"
            :age="age"
            @update:model-value="traits => (face = { ...face, traits })"
          />
        </template>
        <template v-else-if="kind === 'arm'">
          <SwitchField
            :model-value="arm.measures !== null"
            label="Measured with a tape"
            @update:model-value="measureArm"
          />
          <TapeFields v-if="girths" :fields="girths" @measure="girth" />
          <p v-else class="text-[0.87rem] text-soft">
            Girths and length follow from the age, from common practice
            <EstimateMark />. For very young children a small design on the arm, or none (common practice).
          </p>
        </template>
        <p v-else class="text-[0.87rem] text-soft">
          A sheet of A4 with a face of this age printed on it at true size, for practice.
        </p>
        <div
          v-if="problems.length || refused"
          role="alert"
          class="rounded-lg border border-stop bg-card p-2 text-stop"
        >
          <p v-for="p in problems.length ? problems : [refused]" :key="p">{{ p }}</p>
        </div>
        <MisfitList v-else-if="moved?.misfits.length" v-model="taken" :misfits="moved.misfits" />
        <p v-else-if="moved && start.steps.length" class="text-[0.87rem] text-go">
          Everything fits: positions follow the features, stencils keep their size.
        </p>
      </div>
      <div>
        <div class="relative overflow-hidden rounded-xl border border-rule bg-stage">
          <img
            v-if="picture"
            :src="picture"
            alt="The look on the new canvas"
            class="w-full"
            data-testid="canvas-preview"
          />
          <div v-else class="aspect-[208/286]" />
          <LoaderCircle v-if="busy" :size="20" class="absolute top-2 right-2 animate-spin text-soft" />
        </div>
        <button
          class="btn-main mt-3 w-full"
          :disabled="problems.length > 0 || !!refused || !next || busy || (same && !accepted.length)"
          @click="apply"
        >
          {{ start.steps.length ? 'Move the look there' : 'Paint on this' }}
        </button>
        <p class="mt-1 text-center text-sm text-soft">Undo brings everything back.</p>
      </div>
    </div>
  </PanelDialog>
</template>
