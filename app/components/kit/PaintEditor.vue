<script setup lang="ts">
import { Pipette, Plus, ScanLine, Trash2, X } from '@lucide/vue'
import { toast } from 'vue-sonner'
import {
  contrastRatio,
  FINISHES,
  hexOf,
  filmOver,
  hidingWords,
  linearOf,
  opticsOfColour,
  opticsOfSwatch,
  paintOfStrip,
  USUAL_HIDING,
  WHITE_CARD,
  type Paint,
} from '#core/paint'

const props = defineProps<{ paint: Paint | null }>()
const emit = defineEmits<{ done: [] }>()
const kit = useKit()
type Draft = { -readonly [K in Exclude<keyof Paint, 'id' | 'strips'>]: Paint[K] } & {
  strips: { colour: string; width: number; name: string; paint?: string }[]
}
const fresh = (): Draft => ({
  name: '',
  finish: 'matte',
  colour: '#7a2e5d',
  overBlack: '#000000',
  overWhite: '#ffffff',
  measured: false,
  strips: [],
  eyeSafe: true,
  lipSafe: false,
  openedOn: null,
  months: 24,
  grams: null,
  cakeGrams: 30,
  price: null,
})
const plain = (p: Paint | null): Draft => {
  if (!p) return usual(fresh())
  const { id: _id, ...rest } = JSON.parse(JSON.stringify(p)) as Draft & { id: string }
  return rest
}
/** The swatch that follows from the colour alone. */
function usual(d: Draft, hiding = USUAL_HIDING): Draft {
  const optics = opticsOfColour(d.colour, hiding)
  return {
    ...d,
    measured: false,
    overBlack: hexOf(filmOver(optics, 1, [0, 0, 0])),
    overWhite: hexOf(filmOver(optics, 1, [WHITE_CARD, WHITE_CARD, WHITE_CARD])),
  }
}
const draft = ref<Draft>(plain(props.paint))
const problems = ref<string[]>([])
const readings = ref(0)
watch(
  () => props.paint,
  p => {
    draft.value = plain(p)
    problems.value = []
    readings.value = 0
    seen.length = 0
  },
)
const hiding = computed(() => contrastRatio(opticsOfSwatch(draft.value.overBlack, draft.value.overWhite)))
function recolour(colour: string): void {
  draft.value = draft.value.measured ? { ...draft.value, colour } : usual({ ...draft.value, colour })
}
function swatch(part: 'overBlack' | 'overWhite', colour: string): void {
  draft.value = { ...draft.value, [part]: colour, measured: true, ...(part === 'overWhite' && { colour }) }
}
const seen: { overBlack: string; overWhite: string }[] = []
/** The mean of some colours, band by band of linear light. */
const meanOf = (list: string[]) =>
  hexOf(
    [0, 1, 2].map(k => list.reduce((s, c) => s + linearOf(c)[k]!, 0) / list.length) as unknown as [
      number,
      number,
      number,
    ],
  )
/** The mean of the readings so far, as a painter would take several. */
async function read(): Promise<void> {
  if (!props.paint) return
  const { overBlack, overWhite } = await $fetch<{ overBlack: string; overWhite: string }>(
    `/api/paints/${props.paint.id}/reading`,
    { query: { n: ++readings.value } },
  )
  seen.push({ overBlack, overWhite })
  draft.value = {
    ...draft.value,
    overBlack: meanOf(seen.map(s => s.overBlack)),
    overWhite: meanOf(seen.map(s => s.overWhite)),
    measured: true,
  }
}
const picture = useTemplateRef<HTMLCanvasElement>('picture')
const file = useTemplateRef<HTMLInputElement>('file')
const picking = ref<'overBlack' | 'overWhite' | null>(null)
const shown = ref(false)
async function show(event: Event): Promise<void> {
  const chosen = (event.target as HTMLInputElement).files?.[0]
  if (!chosen) return
  try {
    const bitmap = await createImageBitmap(chosen)
    const k = Math.min(1, 300 / bitmap.width)
    const c = picture.value!
    c.width = Math.round(bitmap.width * k)
    c.height = Math.round(bitmap.height * k)
    c.getContext('2d', { willReadFrequently: true })!.drawImage(bitmap, 0, 0, c.width, c.height)
    shown.value = true
    picking.value = 'overWhite'
  } catch {
    toast.error('This is no picture that can be read: take a PNG or JPEG of the swatch card.')
  }
}
function pick(event: MouseEvent): void {
  const c = picture.value!
  const box = c.getBoundingClientRect()
  const x = Math.round(((event.clientX - box.left) * c.width) / box.width)
  const y = Math.round(((event.clientY - box.top) * c.height) / box.height)
  if (!picking.value) return
  // The mean of a few pixels: a swatch is never quite even.
  const { data } = c.getContext('2d')!.getImageData(Math.max(0, x - 3), Math.max(0, y - 3), 7, 7)
  const sum = [0, 0, 0]
  for (let i = 0; i < data.length; i += 4) for (let k = 0; k < 3; k++) sum[k]! += data[i + k]! / 49
  swatch(picking.value, `#${sum.map(v => Math.round(v).toString(16).padStart(2, '0')).join('')}`)
  picking.value = picking.value === 'overWhite' ? 'overBlack' : null
}
/** The strips whose labels keep the cake away from eyes or lips, in words. */
const unsafe = computed(() =>
  (['eyeSafe', 'lipSafe'] as const).flatMap(what => {
    const bad = draft.value[what]
      ? draft.value.strips.map(s => paintOfStrip(s, kit.paints)).filter(p => p && !p[what])
      : []
    return bad.length
      ? [
          `${[...new Set(bad.map(p => p!.name))].join(' and ')}: not for ${what === 'eyeSafe' ? 'near the eyes' : 'lips'}`,
        ]
      : []
  }),
)
/** The looks that a changed cake would change, when the painter must say what is to become of them. */
const used = ref<string[]>([])
const changedCake = computed(() => {
  const was = props.paint
  return (
    was !== null &&
    (was.strips.length > 0 || draft.value.strips.length > 0) &&
    JSON.stringify([was.strips, was.finish]) !== JSON.stringify([draft.value.strips, draft.value.finish])
  )
})
watch(
  draft,
  () => {
    used.value = []
  },
  { deep: true },
)
/** What must be answered is brought into view. */
const answer = useTemplateRef<HTMLElement>('answer')
watch(answer, el => el?.scrollIntoView({ block: 'nearest' }))
async function save(): Promise<void> {
  try {
    if (props.paint && changedCake.value)
      used.value = (await $fetch<{ name: string }[], string>(`/api/paints/${props.paint.id}/looks`)).map(
        l => l.name,
      )
    if (!used.value.length) await keep(props.paint?.id ?? null)
  } catch (error) {
    problems.value = sentencesOf(error)
  }
}
async function keep(id: string | null, name = draft.value.name): Promise<void> {
  try {
    await kit.save({ ...draft.value, name }, id)
    emit('done')
    toast(`${name} kept`)
  } catch (error) {
    problems.value = sentencesOf(error)
  }
}
async function remove(): Promise<void> {
  const p = props.paint
  if (!p) return
  await kit.remove(p.id)
  emit('done')
  toast(`${p.name} taken out`, { action: { label: 'Undo', onClick: () => void kit.save(plain(p), null) } })
}
const strip = () => {
  draft.value.strips.push(
    { colour: draft.value.colour, width: 8, name: '' },
    ...(draft.value.strips.length ? [] : [{ colour: '#f4f1ea', width: 8, name: '' }]),
  )
}
/** Cuts a strip from a paint of the kit. */
function cut(i: number, id: string): void {
  const p = kit.find(id)
  if (p) draft.value.strips[i] = { ...draft.value.strips[i]!, colour: p.colour, name: p.name, paint: p.id }
}
/** A strip of a colour of its own is no paint of the kit any more. */
function recut(i: number, colour: string): void {
  draft.value.strips[i] = { colour, width: draft.value.strips[i]!.width, name: '' }
}
const drop = (i: number) => {
  draft.value.strips = draft.value.strips.length <= 2 ? [] : draft.value.strips.filter((_, k) => k !== i)
}
</script>

<template>
  <form class="space-y-3" aria-label="Paint" @submit.prevent="save">
    <label class="block">Name<input v-model="draft.name" class="field" maxlength="80" required /></label>
    <div class="grid grid-cols-2 gap-2">
      <label
        >Finish<select v-model="draft.finish" class="field">
          <option v-for="f in FINISHES" :key="f" :value="f">{{ f }}</option>
        </select></label
      >
      <label
        >Colour, full film<input
          class="field h-9!"
          type="color"
          :value="draft.colour"
          @input="recolour(($event.target as HTMLInputElement).value)"
      /></label>
    </div>
    <fieldset class="rounded-xl border border-rule p-2">
      <legend class="px-1 text-[0.93rem] font-semibold">
        Swatch <span v-if="!draft.measured" class="rounded bg-rule px-1 text-xs font-normal">estimate</span>
      </legend>
      <div class="flex h-16 overflow-hidden rounded-lg border border-rule">
        <div class="grid flex-1 place-items-center bg-black p-2">
          <div class="size-full rounded" :style="{ background: draft.overBlack }" />
        </div>
        <div class="grid flex-1 place-items-center bg-white p-2">
          <div class="size-full rounded" :style="{ background: draft.overWhite }" />
        </div>
      </div>
      <p class="mt-1 text-[0.87rem]" data-testid="hiding">
        Hiding {{ (100 * hiding).toFixed(1) }} %: {{ hidingWords(hiding) }}
        <span class="text-soft"
          >(contrast ratio, ISO 6504-3<template v-if="readings"
            >; mean of {{ readings }} {{ readings === 1 ? 'reading' : 'readings' }}</template
          >)</span
        >
      </p>
      <div class="mt-1 grid grid-cols-2 gap-2 text-[0.87rem]">
        <label
          >over black<input
            class="field"
            v-kept="draft.overBlack"
            pattern="#[0-9a-fA-F]{6}"
            aria-label="Swatch over black"
            @change="swatch('overBlack', ($event.target as HTMLInputElement).value)" /></label
        ><label
          >over white<input
            class="field"
            v-kept="draft.overWhite"
            pattern="#[0-9a-fA-F]{6}"
            aria-label="Swatch over white"
            @change="swatch('overWhite', ($event.target as HTMLInputElement).value)"
        /></label>
      </div>
      <div class="mt-2 flex flex-wrap gap-1.5">
        <button
          type="button"
          class="btn text-[0.87rem]"
          :disabled="!paint"
          title="A stand-in for a colour reader that ships with the application"
          @click="read"
        >
          <ScanLine :size="15" />Read (simulated reader)</button
        ><button type="button" class="btn text-[0.87rem]" @click="file?.click()">
          <Pipette :size="15" />Pick from a picture</button
        ><input
          ref="file"
          type="file"
          accept="image/*"
          class="hidden"
          aria-label="Picture of a swatch card"
          @change="show"
        />
      </div>
      <div v-show="shown" class="mt-2">
        <canvas
          ref="picture"
          class="max-w-full cursor-crosshair rounded-lg border border-rule"
          @click="pick"
        />
        <p class="text-[0.87rem] text-soft">
          {{
            picking === 'overWhite'
              ? 'Click the paint over white.'
              : picking === 'overBlack'
                ? 'Now click it over black.'
                : 'Both picked.'
          }}
          <button type="button" class="underline" @click="picking = 'overWhite'">again</button>
        </p>
      </div>
    </fieldset>
    <fieldset class="rounded-xl border border-rule p-2">
      <legend class="px-1 text-[0.93rem] font-semibold">Split cake</legend>
      <div v-if="draft.strips.length" class="mb-1 flex h-4 overflow-hidden rounded-full border border-rule">
        <span v-for="(s, i) in draft.strips" :key="i" :style="{ background: s.colour, flexGrow: s.width }" />
      </div>
      <div v-for="(s, i) in draft.strips" :key="i" class="flex items-center gap-1.5">
        <input
          :value="s.colour"
          type="color"
          class="size-8 rounded"
          @input="recut(i, ($event.target as HTMLInputElement).value)"
          :aria-label="`Colour of strip ${i + 1}`"
        /><select
          class="field min-w-0 flex-1"
          :aria-label="`Paint of strip ${i + 1}`"
          @change="cut(i, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">{{ paintOfStrip(s, kit.paints)?.name || s.name || 'from the kit…' }}</option>
          <option v-for="p in kit.singles" :key="p.id" :value="p.id">{{ p.name }}</option></select
        ><input
          v-model.number="s.width"
          type="number"
          min="0.5"
          max="80"
          step="0.5"
          class="field w-18!"
          :aria-label="`Width of strip ${i + 1}, mm`"
        />mm<button type="button" class="icon-btn" :aria-label="`Take strip ${i + 1} out`" @click="drop(i)">
          <X :size="14" />
        </button>
      </div>
      <button v-if="draft.strips.length < 12" type="button" class="btn mt-1 text-[0.87rem]" @click="strip">
        <Plus :size="14" />{{ draft.strips.length ? 'Another strip' : 'Make it a split cake' }}
      </button>
      <p v-for="u in unsafe" :key="u" class="mt-1 text-[0.87rem] text-care">
        <strong>Care</strong> {{ u }}, so the cake is not either.
      </p>
    </fieldset>
    <div class="grid grid-cols-2 gap-2">
      <SwitchField v-model="draft.eyeSafe" label="Eye-safe (label)" /><SwitchField
        v-model="draft.lipSafe"
        label="Lip-safe (label)"
      />
      <label
        >Opened on<input
          class="field"
          type="date"
          v-kept="draft.openedOn ?? ''"
          @change="draft.openedOn = ($event.target as HTMLInputElement).value || null" /></label
      ><label
        >Good for, months<input v-model.number="draft.months" class="field" type="number" min="1" max="120"
      /></label>
      <label
        >Left, g<input
          class="field"
          type="number"
          min="0"
          step="0.5"
          v-kept="draft.grams ?? ''"
          @change="
            draft.grams =
              ($event.target as HTMLInputElement).value === ''
                ? null
                : ($event.target as HTMLInputElement).valueAsNumber
          " /></label
      ><label
        >Full cake, g<input v-model.number="draft.cakeGrams" class="field" type="number" min="1"
      /></label>
      <label
        >Price of a cake<input
          class="field"
          type="number"
          min="0"
          step="0.1"
          v-kept="draft.price ?? ''"
          @change="
            draft.price =
              ($event.target as HTMLInputElement).value === ''
                ? null
                : ($event.target as HTMLInputElement).valueAsNumber
          "
      /></label>
    </div>
    <p v-if="draft.finish === 'neon'" class="text-[0.87rem] text-care">
      <strong>Care</strong> Neon and UV colours keep away from eyes and lips; the label and local rules come
      first.
    </p>
    <div v-if="problems.length" role="alert" class="rounded-lg border border-stop p-2 text-stop">
      <p v-for="p in problems" :key="p">{{ p }}</p>
    </div>
    <div v-if="used.length" ref="answer" role="alert" class="space-y-2 rounded-lg border border-care p-2">
      <p>
        <strong class="text-care">Care</strong>
        {{ used.length === 1 ? 'A look uses' : `${used.length} looks use` }} this cake:
        {{ used.slice(0, 6).join(', ') }}{{ used.length > 6 ? ' and others' : '' }}. Changed, it looks
        different there too.
      </p>
      <div class="flex flex-wrap gap-1.5">
        <button
          type="button"
          class="btn-main"
          @click="keep(null, draft.name === paint?.name ? `${draft.name.slice(0, 73)} (new)` : draft.name)"
        >
          Keep as a new cake</button
        ><button type="button" class="btn" @click="keep(paint!.id)">Change it there too</button>
      </div>
    </div>
    <div v-else class="flex gap-2">
      <button class="btn-main flex-1">Keep this paint</button
      ><button v-if="paint" type="button" class="btn text-stop" @click="remove">
        <Trash2 :size="15" />Take out</button
      ><button type="button" class="btn" @click="emit('done')">Close</button>
    </div>
  </form>
</template>
