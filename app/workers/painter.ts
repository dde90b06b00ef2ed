import { expose, transfer } from 'comlink'
import {
  checkWork,
  groundFor,
  kindOf,
  lookInWords,
  showsOf,
  stepsOff,
  withSteps,
  type Look,
  type LookInWords,
  type OrderConflict,
  type Pass,
  type Shows,
  type World,
} from '#core/look'
import { Memo } from '#core/memo'
import { NO_READINGS, ownTools, type LightId, type Paint, type Readings } from '#core/paint'
import {
  bareLookOf,
  BareSkinCache,
  drawBack,
  emptySpots,
  finishedPicture,
  IncrementalCompositor,
  printSteps,
  skinTexture,
  type Bare,
  type HeadPicture,
  type Painted,
} from '#core/raster'
import { prepared, type PreparedSheet, type Stencil } from '#core/stencil'
import { finenessOf, wholePicture } from '~/components/bench/stage/view'
import type { StageSize } from '~/utils/stageSize'
import { KeptHeads } from './keptHeads'
import { inWays, type Compared } from './compared'
import { movingJob } from './moving'
import { nineJob } from './nine'
import type { Picture, Wrapped } from './picture'
import { planned, shorter, type Planned, type ShorterLooks } from './planned'
import { sittingJobs } from './sitting'
import { stageJobs } from './stageJobs'
import { keyIn } from './stagePicture'
import { toldJobs } from './toldJobs'
import { ThumbStrip, type Thumbs } from './thumbStrip'
import { samplesJob } from './samples'
import { triesJobs } from './tries'

const sheets = new Map<string, PreparedSheet>()
let paints = new Map<string, Paint>(),
  readings: Readings = NO_READINGS,
  kitVersion = 0
/** Room for bare skins, bytes: a whole head at 6 px/mm takes about 105 million. */
const MOST_BYTES = 3e8
const bares = new BareSkinCache(MOST_BYTES)
const memo = new Memo()

const worldOf = (look: Look): World =>
  withSteps(
    {
      ground: groundFor(look, memo),
      stencil: id => sheets.get(id),
      paint: id => paints.get(id),
      oily: look.skin.oily,
      ...ownTools(readings),
      memo,
    },
    look.steps,
    stepsOff(look),
  )
const finished = ({ head }: Bare, painted?: Painted): Picture => ({
  rgba: finishedPicture(head, painted),
  width: head.grid.width,
  height: head.grid.height,
})

/** The same without light: what a lit model wears. */
const unlit = (head: HeadPicture, painted?: Painted): Picture => ({
  rgba: skinTexture(head, painted),
  width: head.grid.width,
  height: head.grid.height,
})

/** Sheets that were told anew get a new number, so that their prints are made anew. */
const versions = new Map<string, number>()
/** One channel for all pauses, held here: the browser may clear away one that nothing holds, unheard. */
const breath = new MessageChannel()
const paused: (() => void)[] = []
breath.port1.onmessage = () => paused.shift()?.()
/** Lets messages that wait come in. */
const pause = () =>
  new Promise<void>(resolve => {
    paused.push(resolve)
    breath.port2.postMessage(null)
  })

/** A look with its eyes shut, for the steps that are painted so; null where none is, or where they stay shut. */
const shutFor = (look: Look): Look | null =>
  look.skin.eyes === 'open' && look.steps.some(s => s.eyes === 'shut')
    ? { ...look, skin: { ...look.skin, eyes: 'closed' } }
    : null

const strip = new ThumbStrip(pause)
const heads = new KeptHeads()
const keyOfSteps = ({ steps }: Look, world: World) =>
  keyIn(steps, world, id => versions.get(id) ?? 0, kitVersion)

const painter = {
  know(list: Stencil[], kit: Paint[], own: Readings): void {
    for (const sheet of list) {
      sheets.set(sheet.id, prepared(sheet))
      versions.set(sheet.id, (versions.get(sheet.id) ?? 0) + 1)
    }
    if (
      JSON.stringify(kit) !== JSON.stringify([...paints.values()]) ||
      JSON.stringify(own) !== JSON.stringify(readings)
    )
      kitVersion++
    paints = new Map(kit.map(p => [p.id, p]))
    readings = own
  },
  ...stageJobs({ worldOf, bares, heads, memo, keyOfSteps, pause }),
  /** Draws the bare skin that a stage will show of a look, and keeps it on this device. */
  async ahead(look: Look, { width, height, ruler }: StageSize, devicePixels: number): Promise<void> {
    const ground = groundFor(look, memo)
    const pxPerMm = finenessOf(wholePicture(width, height, ruler, ground.box), devicePixels)
    if (await heads.holds(look, pxPerMm)) return
    // A browser ends a worker at once only while it rests: else the head would be drawn on beside what is opened.
    for (const _ of bares.inTurns(look, ground, pxPerMm)) await pause()
    // Those of looks that were opened stay before it.
    await heads.keep(bares, look, ground, pxPerMm, 0)
  },
  /** The painted face; with `upTo`, only its first steps. */
  paint(look: Look, pxPerMm: number, upTo = look.steps.length, light?: LightId): Picture {
    const world = worldOf(look)
    checkWork(look.steps, world)
    const bare = bares.of(look, world.ground, pxPerMm, { light })
    const picture = finished(bare, printSteps(bare.head, look.steps.slice(0, upTo), world, bare.grain))
    return transfer(picture, [picture.rgba.buffer])
  },
  ...toldJobs({ worldOf, bares, kit: () => [...paints.values()], pause }),
  /** A look in words, and where there are empty patches. */
  inWords(look: Look): LookInWords & { readonly patches: string[] } {
    const world = { ...worldOf(look), flat: true }
    return { ...lookInWords(look, world), patches: emptySpots(look.steps, world).map(s => s.where) }
  },
  /** The same look over other skins: a picture of each, with how its steps show there. */
  onSkins(
    look: Look,
    colours: readonly string[],
    pxPerMm: number,
    onProgress: (done: number) => void,
  ): { picture: Picture; shows: Shows[] }[] {
    const answers = colours.map((colour, n) => {
      onProgress(n / colours.length)
      const worn = { ...look, skin: { ...look.skin, colour } }
      const world = worldOf(worn)
      const bare = bares.of(worn, world.ground, pxPerMm)
      const painting = new IncrementalCompositor(bare, true)
      const shows: Shows[] = []
      for (const step of painting.toward(worn.steps, world, step => step.id)) {
        const pairs = painting.compared()
        if (pairs.length) shows.push(showsOf(step.id, pairs, kindOf(step).judgedAt))
      }
      return {
        picture: { rgba: painting.whole(), width: bare.head.grid.width, height: bare.head.grid.height },
        shows,
      }
    })
    return transfer(
      answers,
      answers.map(a => a.picture.rgba.buffer),
    )
  },
  /**
   * A pass of a sheet dabbed in other ways, where it lies: a picture of that place each, with what comes of it.
   * @param passes the pass in each of the ways
   */
  compare(look: Look, stepId: string, index: number, passes: readonly Pass[], pxPerMm: number): Compared[] {
    const bare = bares.of(look, groundFor(look, memo), pxPerMm)
    const answers = inWays(look, stepId, index, passes, bare, worldOf)
    return transfer(
      answers,
      answers.map(a => a.picture.rgba.buffer),
    )
  },
  /** The shortest order of a look; see planOf. */
  plan: (look: Look): Planned | OrderConflict => planned(look, worldOf(look)),
  /**
   * What a look is for less time; see shorter.
   * @param behind ids of steps that are done already, or will not be
   */
  shortened: (
    look: Look,
    budgets: readonly number[],
    points: number,
    behind: readonly string[],
  ): ShorterLooks =>
    shorter({ steps: look.steps.filter(s => !behind.includes(s.id)) }, worldOf(look), budgets, points),
  ...sittingJobs({ worldOf }),
  /**
   * The painted skin without light on the chart that leaves steep skin its width, and the back of a head: for the
   * turned head.
   */
  wrapped(look: Look, pxPerMm: number, upTo = look.steps.length): Wrapped {
    const world = worldOf(look)
    const bare = bares.of(look, world.ground, pxPerMm, { seen: 'wrap' })
    const { head } = bare
    const back = drawBack(world.ground, bareLookOf(look))
    const answer = {
      front: unlit(head, printSteps(head, look.steps.slice(0, upTo), world, bare.grain)),
      back: back && unlit(back),
    }
    return transfer(answer, [answer.front.rgba.buffer, ...(answer.back ? [answer.back.rgba.buffer] : [])])
  },
  ...triesJobs({ worldOf, bares, kit: () => [...paints.values()], keyOfSteps }),
  ...movingJob({ worldOf, bares, pause }),
  ...samplesJob({ worldOf, bares, keyOfSteps }),
  ...nineJob({
    worldOf,
    kit: () => [...paints.values()],
    bareOf: async (look, { ground }, pxPerMm) => {
      await heads.fetch(bares, look, ground, pxPerMm)
      return bares.of(look, ground, pxPerMm)
    },
    keyOfSteps,
    pause,
  }),
  /** Small pictures of the bare face and after every step: those that changed; see ThumbStrip. */
  async thumbs(look: Look, pxPerMm: number, have: number | null): Promise<Thumbs | null> {
    const world = worldOf(look)
    checkWork(look.steps, world)
    const closed = shutFor(look)
    const shut = closed && worldOf(closed)
    const answer = await strip.update(
      look,
      { world, bare: bares.of(look, world.ground, pxPerMm) },
      closed && shut && { world: shut, bare: bares.of(closed, shut.ground, pxPerMm) },
      JSON.stringify([look.canvas, look.skin, pxPerMm]),
      have,
      keyOfSteps(look, world),
    )
    return (
      answer &&
      transfer(
        answer,
        answer.pictures.map(p => p.rgba.buffer),
      )
    )
  },
}

export type Painter = typeof painter
expose(painter)
