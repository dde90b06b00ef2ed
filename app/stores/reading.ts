import { defineStore } from 'pinia'
import type { Offer } from '#core/draft'
import type { Point } from '#core/geometry'
import { paperLike, READ_CHOICES, type Corners, type Reading } from '#core/photo'
import type { Size } from '~/components/photo/SizePanel.vue'
import type { Flat, Opened, Sizing } from '~/workers/photo'

const NO_SIZE: Size = { by: 'sides', of: 'sheet', width: null, height: null, mm: null, bar: 100 }

/** Handles where nothing was found: a little inside the picture. */
const ends = (w: number, h: number): Corners => [[0.1 * w, 0.1 * h], [0.9 * w, 0.1 * h], [0.9 * w, 0.9 * h], [0.1 * w, 0.9 * h]] // prettier-ignore

/** What there is to say of a picture before anything is read. */
function wordsOf({ card, found }: Opened, by: Size['by']): string {
  if (by === 'card' && card)
    return `The card was found by ${card.marks} marks, true to ${card.offMm.toFixed(2)} mm${card.bends ? '; the lens is straightened' : ''}.`
  if (by === 'card')
    return 'The calibration card was not found by itself. Drag the four handles to the middles of its crosses.'
  if (!found)
    return 'Nothing stands out from the ground by itself. Drag the four handles to the corners, or take the picture on a ground of another colour.'
  if (found.cutOff.length)
    return `What was found runs off the picture at the ${found.cutOff.join(' and the ')}. Check the corners; take it again with some ground all round if one is missing.`
  return 'The corners were found. Drag a handle where one is not quite right; the magnifier shows the place.'
}

/** A name for a stencil, from its file's. */
const nameOf = (file: string): string =>
  file
    .replace(/\.\w+$/, '')
    .replace(/[-_]+/g, ' ')
    .slice(0, 70) || 'My stencil'

/** The address of a picture that the page shows; the one before is given back. */
function shownAt() {
  const url = ref('')
  const show = (blob: Blob | null): void => {
    if (url.value) URL.revokeObjectURL(url.value)
    url.value = blob ? URL.createObjectURL(blob) : ''
  }
  return { url, show }
}

/** The picture, and the marks by which it is measured. */
function picture() {
  const name = ref('My stencil')
  const opened = shallowRef<Opened | null>(null)
  const { url, show } = shownAt()
  const points = shallowRef<readonly Point[]>([])
  const pair = shallowRef<readonly Point[] | null>(null)
  const size = ref<Size>({ ...NO_SIZE })
  const guess = ref('')

  /** Where the handles begin: on what was found, else a little inside the picture. */
  function marksFor(by: Size['by']): void {
    const { card, found, width: w, height: h } = opened.value!
    points.value = by === 'card' && card ? card.crosses : (found?.corners ?? ends(w, h))
    pair.value = by === 'distance' ? (pair.value ?? [[0.25 * w, 0.5 * h], [0.75 * w, 0.5 * h]]) : null // prettier-ignore
  }
  watch(
    () => size.value.by,
    by => opened.value && marksFor(by),
  )
  function put(next: Opened, file: string): void {
    show(next.shown)
    opened.value = next
    name.value = nameOf(file)
    const paper = next.found && paperLike(next.found.corners as Corners)
    guess.value = paper
      ? `Its corners lie like those of ${paper.paper === 'letter' ? 'letter paper' : 'A4, A5 or A6'}.`
      : ''
    const whole = !next.found || next.found.fills >= 0.9
    size.value = { ...size.value, by: next.card ? 'card' : 'sides', of: whole ? 'sheet' : 'ground' }
    pair.value = null
    marksFor(size.value.by)
  }
  /** How the picture is measured, or what is missing. */
  function sizing(): Sizing | string {
    const [a, b, c, d] = points.value
    const corners: Corners = [a!, b!, c!, d!]
    const { by, of, width, height, mm, bar } = size.value
    if (by === 'card') return { by, crosses: corners, scale: bar / 100 }
    if (by === 'distance') {
      if (!mm) return 'Enter how many millimetres lie between the two blue points.'
      return { by, corners, of, from: pair.value![0]!, to: pair.value![1]!, mm }
    }
    if (!width || !height)
      return 'Enter the length of the upper and the left side in millimetres, or choose a paper.'
    return { by, corners, of, width, height }
  }
  function clear(): void {
    show(null)
    opened.value = null
    size.value = { ...NO_SIZE }
  }
  const said = computed(() => (opened.value ? wordsOf(opened.value, size.value.by) : ''))
  return { name, opened, url, points, pair, size, guess, said, put, sizing, clear }
}

/** What was read, and what is made of it by hand. */
function handwork(reading: Readonly<Ref<Reading | null>>) {
  /** One history a sheet that was read. */
  const histories = shallowRef<ReturnType<typeof useDraftHistory>[]>([])
  const sheet = ref(0)
  const offers = shallowRef<Offer[]>([])
  const edited = computed(() => histories.value.map(h => h.draft.value!))
  let begunOf: Reading | null = null
  /** Begins with what was read; what was made of the same reading by hand stays. */
  function begin(): void {
    if (histories.value.length && begunOf === reading.value) return
    begunOf = reading.value
    histories.value = reading.value!.sheets.map(s => {
      const history = useDraftHistory()
      history.begin(s.draft)
      return history
    })
    sheet.value = 0
  }
  const current = computed(() => histories.value[sheet.value] ?? null)
  const worker = useSheetWorker()
  watch(
    () => current.value?.draft.value,
    async draft => {
      offers.value = []
      if (!draft) return
      const found = await worker.offers(draft).catch(() => [])
      if (draft === current.value?.draft.value) offers.value = found
    },
  )
  return { histories, sheet, offers, edited, current, begin }
}

/** What is read of the picture once it is measured. */
function openings(
  photo: ReturnType<typeof usePhoto>,
  sizing: () => Sizing | string,
  problem: Ref<string>,
  step: Ref<number>,
) {
  const flat = shallowRef<Flat | null>(null)
  const { url: flatUrl, show: showFlat } = shownAt()
  const dark = ref<boolean | null>(null)
  const choices = reactive({ ...READ_CHOICES })
  const reading = shallowRef<Reading | null>(null)
  const show = ref<'picture' | 'mask' | 'outlines'>('outlines')
  async function prepare(): Promise<void> {
    const how = sizing()
    problem.value = typeof how === 'string' ? how : ''
    if (typeof how === 'string') return
    const answer = await photo.prepare(how, dark.value)
    if (!answer.ok) {
      problem.value = answer.sentence
      return
    }
    showFlat(answer.shown)
    flat.value = answer
    step.value = 1
    await read()
  }
  const read = newestOnly(async () => {
    problem.value = ''
    const answer = await photo.read({ ...choices })
    if (!answer.ok) {
      problem.value = answer.sentence
      reading.value = null
      show.value = 'mask'
      return
    }
    reading.value = markRaw(answer)
    show.value = 'outlines'
  })
  async function swap(next: boolean | null): Promise<void> {
    dark.value = next
    await prepare()
  }
  function forget(): void {
    showFlat(null)
    flat.value = reading.value = dark.value = null
    Object.assign(choices, READ_CHOICES)
  }
  const open = computed(() => reading.value?.sheets.reduce((n, s) => n + s.draft.openings.length, 0) ?? 0)
  return { flat, flatUrl, choices, reading, show, prepare, read, swap, forget, open }
}

/** Reading a stencil from a picture, from the file to drafts: what stands where, and what is done next. */
export const useReading = defineStore('reading', () => {
  const photo = usePhoto()
  const step = ref(0)
  const problem = ref('')
  const { put, sizing, clear: putAway, ...shot } = picture()
  const { forget, ...read } = openings(photo, sizing, problem, step)
  const { flat, flatUrl, reading } = read
  const { begin, ...hand } = handwork(reading)

  function begun(): void {
    forget()
    hand.histories.value = []
    step.value = 0
  }
  /** Puts everything away, as when the page is left. */
  function clear(): void {
    photo.stop()
    putAway()
    problem.value = ''
    begun()
  }
  const take = async (files: FileList | null | undefined): Promise<void> => {
    const file = files?.[0]
    if (file) await takeFile(file)
  }
  async function takeFile(file: File): Promise<void> {
    const answer = await photo.open(file)
    problem.value = answer.ok ? '' : answer.sentence
    if (!answer.ok) return
    begun()
    put(answer, file.name)
  }
  function byHand(): void {
    begin()
    step.value = 2
  }
  const under = computed(() => {
    const found = reading.value?.sheets[hand.sheet.value]
    if (!found || !flat.value) return null
    const { width, height } = flat.value.frame
    return { url: flatUrl.value, x: -found.middle[0], y: -found.middle[1], width, height }
  })
  const keepsake = (i: number): Promise<Blob | null> =>
    photo.keepsake(reading.value!.sheets[i]!.middle, reading.value!.sheets[i]!.draft)
  const busy = computed(() => photo.waiting.value !== null)
  return {
    ...shot,
    ...hand,
    ...read,
    ...{ step, problem, under, busy, clear },
    ...{ waiting: photo.waiting, stop: photo.stop, take, takeFile, byHand, keepsake },
  }
})
