<script setup lang="ts">
import { ScanLine, Trash2 } from '@lucide/vue'
import { toast } from 'vue-sonner'
import { contrastRatio, FINISHES, hidingWords, opticsOfSwatch, type Paint } from '#core/paint'
import { CURRENCIES } from '~/stores/settings'
import { draftOf, meanOf, usual } from './paintDraft'

const props = defineProps<{ paint: Paint | null }>()
/** `done` names the paint that was kept or deleted; null for a new one: another may be open meanwhile. */
const emit = defineEmits<{ done: [id: string | null] }>()
const kit = useKit()
const settings = useSettings()
const draft = ref(draftOf(props.paint))
const problems = ref<string[]>([])
const readings = ref(0)
watch(
  () => props.paint,
  p => {
    draft.value = draftOf(p)
    problems.value = []
    losing.value = null
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
    // The reader is a stand-in: what it reads is no measure of the painter's own paint.
    measured: draft.value.measured,
  }
}
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
  const from = props.paint?.id ?? null
  try {
    await kit.save({ ...draft.value, name }, id)
    emit('done', from)
    toast(`${name} kept`)
  } catch (error) {
    if ((props.paint?.id ?? null) === from) problems.value = sentencesOf(error)
    else toast.error(`${name} was not kept. ${sentencesOf(error).join(' ')}`, { duration: 9000 })
  }
}
/** The looks that use the paint that is to be deleted; null while nobody asked for that. */
const losing = shallowRef<string[] | null>(null)
async function askRemove(): Promise<void> {
  const p = props.paint
  if (!p) return
  try {
    const looks = await $fetch<{ name: string }[], string>(`/api/paints/${p.id}/looks`)
    losing.value = looks.map(l => l.name)
    if (!looks.length) await remove()
  } catch (error) {
    problems.value = sentencesOf(error)
  }
}
async function remove(): Promise<void> {
  const p = props.paint
  if (!p) return
  losing.value = null
  try {
    await kit.remove(p.id)
    emit('done', p.id)
    tellUndoable(`${p.name} deleted`, () => kit.bringBack(p))
  } catch (error) {
    problems.value = sentencesOf(error)
  }
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
        >Colour, full coat<input
          class="field h-9!"
          type="color"
          :value="draft.colour"
          @input="recolour(($event.target as HTMLInputElement).value)"
      /></label>
    </div>
    <fieldset class="rounded-xl border border-rule p-2">
      <legend class="px-1 text-[0.93rem] font-semibold">
        Swatch <EstimateMark v-if="!draft.measured" />
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
        <EstimateMark v-if="!draft.measured" />
        <span class="text-soft"
          >(contrast ratio, ISO 6504-3<template v-if="readings"
            >; mean of {{ readings }} {{ readings === 1 ? 'reading' : 'readings' }} of the simulated
            reader</template
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
      <SwatchPicker class="mt-2" @pick="swatch">
        <button
          type="button"
          class="btn text-[0.87rem]"
          :disabled="!paint"
          v-tip="'A stand-in for a colour reader that ships with the application'"
          @click="read"
        >
          <ScanLine :size="15" />Read (simulated reader)
        </button>
      </SwatchPicker>
    </fieldset>
    <StripsField v-model="draft" />
    <p v-if="paint?.toMake" class="text-[0.87rem] text-soft">
      Still to be made: what to cut for it stands under "Strip cakes".
    </p>
    <div class="grid grid-cols-2 gap-2">
      <LabelField v-model="draft.eyeSafe" label="Near the eyes" /><LabelField
        v-model="draft.lipSafe"
        label="On lips"
      />
      <label
        >Opened on<input
          class="field"
          type="date"
          v-kept="draft.openedOn ?? ''"
          @change="draft.openedOn = ($event.target as HTMLInputElement).value || null" /></label
      ><label>Good for, months<NumberInput live v-model="draft.months" :min="1" :max="120" /></label>
      <label>Left, g<NumberInput live v-model="draft.grams" :min="0" :step="0.5" clearable /></label
      ><label>Full cake, g<NumberInput live v-model="draft.cakeGrams" :min="1" /></label>
      <label
        >Price of a cake<span class="flex gap-1"
          ><NumberInput live v-model="draft.price" :min="0" :step="0.1" clearable /><select
            v-model="settings.currency"
            class="field w-20! px-1!"
            aria-label="Currency"
          >
            <option v-for="c in CURRENCIES" :key="c">{{ c }}</option>
          </select></span
        ></label
      >
    </div>
    <p v-if="draft.finish === 'neon'" class="text-[0.87rem] text-care">
      <strong>Warning</strong> Neon and UV colours keep away from eyes and lips; the label and local rules
      come first.
    </p>
    <div v-if="problems.length" role="alert" class="rounded-lg border border-stop p-2 text-stop">
      <p v-for="p in problems" :key="p">{{ p }}</p>
    </div>
    <div v-if="used.length" ref="answer" role="alert" class="space-y-2 rounded-lg border border-care p-2">
      <p>
        <strong class="text-care">Warning</strong>
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
    <div
      v-else-if="losing?.length"
      role="alert"
      class="space-y-2 rounded-lg border border-care p-2"
      data-testid="used-by"
    >
      <p>
        {{ losing.length === 1 ? 'A look uses' : `${losing.length} looks use` }} this paint:
        {{ losing.slice(0, 6).join(', ') }}{{ losing.length > 6 ? ' and others' : '' }}. They keep its name
        and colour; how it covers is then an estimate there.
      </p>
      <div class="flex gap-1.5">
        <button type="button" class="btn-main" @click="remove">Delete</button
        ><button type="button" class="btn" @click="losing = null">Keep it</button>
      </div>
    </div>
    <div v-else class="flex gap-2">
      <button class="btn-main flex-1">Save</button
      ><button v-if="paint" type="button" class="btn text-stop" @click="askRemove">
        <Trash2 :size="15" />Delete</button
      ><button type="button" class="btn" @click="emit('done', paint?.id ?? null)">Close</button>
    </div>
  </form>
</template>
