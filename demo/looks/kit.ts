import { centroidOf, pointsOf, ringHolds, type Point } from '../../core/geometry'
import {
  axisFor,
  freshGlitter,
  freshLips,
  freshLook,
  freshSheet,
  freshWash,
  GEM_COLOURS,
  GLITTER_COLOURS,
  groundFor,
  hand,
  NO_TWIN,
  starterOf,
  washRings,
  type GemStep,
  type GlitterStep,
  type LipsStep,
  type Look,
  type PaintRef,
  type Pass,
  type SheetStep,
  type StarterId,
  type Step,
  type TwinRule,
  type Wash,
} from '../../core/look'
import {
  faceOf,
  layOn,
  traitsToBegin,
  type Canvas,
  type HairCut,
  type Placement,
  type ZoneId,
} from '../../core/skin'
import { readSvg } from '../../core/stencil'
import { paints } from '../paints'
import { shelfSvg } from '../shelf'

/** Axes of bases: out from a point, and along a line. */
export const outFrom = ([x, y]: Point, reach: number) => ({
  kind: 'out' as const,
  from: [x, y] as [number, number],
  reach,
})
export const alongLine = ([ax, ay]: Point, [bx, by]: Point) => ({
  kind: 'line' as const,
  from: [ax, ay] as [number, number],
  to: [bx, by] as [number, number],
})

/** Handles round a place. */
export function roundAbout([x, y]: Point, r: number): Point[] {
  return Array.from({ length: 8 }, (_, i): Point => {
    const a = (i * Math.PI) / 4
    return [x + r * Math.sin(a), y - r * Math.cos(a)]
  })
}

/** A paint of the demo kit by its id. */
export const ref = (id: string): PaintRef => {
  const { name, colour } = paints.find(p => p.id === id)!
  return { id, name, colour }
}
/** A split cake of the demo kit by its id. */
export const cake = (id: string) => ({
  ...ref(id),
  strips: paints.find(p => p.id === id)!.strips.map(s => ({ ...s })),
})
const gemColour = (name: (typeof GEM_COLOURS)[number]['name']) => ({
  ...GEM_COLOURS.find(c => c.name === name)!,
})
export const glitterColour = (name: (typeof GLITTER_COLOURS)[number]['name']) => ({
  ...GLITTER_COLOURS.find(c => c.name === name)!,
})

/** One pass through a sheet. */
export const pass = (paint: string, dabs = 6, more: Partial<Pass> = {}): Pass => ({
  openings: { use: 'all' },
  load: { kind: 'one', paint: ref(paint) },
  tool: 'makeup',
  wetness: 'tacky',
  dabs,
  charge: 1,
  glitter: false,
  ...more,
})

const tenths = (list: readonly Point[]): [number, number][] =>
  list.map(([x, y]) => [Math.round(x * 10) / 10 + 0, Math.round(y * 10) / 10 + 0])

export interface About {
  id: string
  name: string
  age: number
  skin: string
  hair?: string
  iris?: string
  cut?: HairCut
  freckles?: boolean
  /** Which of the faces to begin with it is; as usual for its age and build when left out. */
  face?: number
  eyes?: 'open' | 'closed'
  canvas: Canvas
  tags: string[]
  notes?: string
  budget?: number
  focus?: Point
  sitting?: Partial<Look['sitting']>
}

/** The canvas of a look, with the traits of its face. */
function canvasFor({ canvas, age, face }: About): Look['canvas'] {
  const plain = structuredClone(canvas) as Look['canvas']
  if (plain.kind !== 'face' || face === undefined) return plain
  return { ...plain, traits: traitsToBegin(face, faceOf(plain, age).form.traits) }
}

/** Makes a look of the fair: its steps are placed from the landmarks of the person's own face. */
export function look(about: About, draw: (k: ReturnType<typeof hands>) => Step[]): Look {
  const base = freshLook(about.id, about.name)
  const made: Look = {
    ...base,
    canvas: canvasFor(about),
    tags: about.tags,
    notes: about.notes ?? '',
    budget: about.budget ?? null,
    focus: tenths([about.focus ?? [0, 0]])[0]!,
    skin: {
      colour: about.skin,
      hair: about.hair ?? '#3a2a20',
      eyes: about.eyes ?? 'open',
      age: about.age,
      ...(about.iris && { iris: about.iris }),
      ...(about.cut && { cut: about.cut }),
      ...(about.freckles && { freckles: true }),
    },
    sitting: {
      ...base.sitting,
      ticket: /ticket (\d+)/.exec(about.notes ?? '')?.[1] ?? '',
      allergies: 'none',
      skin: 'sound',
      eyes: 'yes',
      lips: 'yes',
      ...about.sitting,
    },
  }
  return { ...made, steps: draw(hands(made)) }
}

function hands(made: Look) {
  const ground = groundFor(made)
  const { focus } = made
  let n = 0
  const id = () => `${made.id.replace('demo-', '').slice(0, 24)}-${++n}`
  const h = hand({
    ground,
    focus,
    palette: { dark: ref('soot'), light: ref('gull'), body: ref('mulberry'), accent: ref('lantern') },
    id,
    host: null,
    group: null,
  })
  const twin = (rule: TwinRule) => ({
    ...NO_TWIN,
    rule,
    about: rule === 'turn' ? ([0, 0] as [number, number]) : null,
    own: null,
  })
  /** A base on one outline as it is given. */
  function spot(label: string, outline: readonly Point[], colours: string[], more: Partial<Wash> = {}): Wash {
    const base = {
      ...freshWash(id(), label, ['face'], colours.map(ref), ground),
      zones: [],
      points: tenths(outline),
      straight: more.straight ?? false,
      ...(ground.face && { free: ['eyes', 'nostrils'] as Wash['free'] }),
    }
    return { ...base, axis: axisFor(washRings(base, ground)) as Wash['axis'], dabs: 3, ...more }
  }
  return {
    ...h,
    ground,
    id,
    twin,
    /** A base on an outline given for the right half and mirrored. */
    drawn(label: string, right: readonly Point[], colours: string[], more: Partial<Wash> = {}): Wash {
      // A handle on the midline is its own mirror image.
      return spot(
        label,
        [
          ...right,
          ...right
            .filter(([x]) => Math.abs(x) > 0.05)
            .map(([x, y]): Point => [-x, y])
            .reverse(),
        ],
        colours,
        more,
      )
    },
    spot,
    zones(label: string, zones: ZoneId[], colours: string[], more: Partial<Wash> = {}): Wash {
      return { ...freshWash(id(), label, zones, colours.map(ref), ground), dabs: 3, ...more }
    },
    sheet(
      label: string,
      stencil: string,
      at: Point,
      passes: Pass[],
      more: Partial<Omit<SheetStep, 'twin'>> & { rule?: TwinRule } = {},
    ): SheetStep {
      const { rule = 'none', ...rest } = more
      return {
        ...freshSheet(id(), label, stencil, tenths([at])[0]!, ref('gull')),
        passes,
        twin: { ...NO_TWIN, rule, about: rule === 'turn' ? [0, 0] : null },
        ...rest,
      }
    },
    /**
     * A stencil step that dabs only the openings which land where `keep` says, as a painter does with a
     * texture.
     */
    patch(
      label: string,
      stencil: string,
      place: Placement,
      keep: (x: number, y: number) => boolean,
      passes: Pass[],
      more: Partial<Omit<SheetStep, 'twin'>> & { rule?: TwinRule } = {},
    ): SheetStep {
      const { openings } = readSvg(shelfSvg(stencil)).sheet
      const laid = layOn(ground.surface, place)
      const numbers = openings.flatMap((o, i) => (keep(...laid.point(centroidOf([o]))) ? [i] : []))
      const { rule = 'none', ...rest } = more
      return {
        ...freshSheet(id(), label, stencil, tenths([place.at])[0]!, ref('gull')),
        passes: passes.map(p => ({ ...p, openings: { use: 'chosen', numbers } })),
        tilt: place.tilt,
        side: place.side,
        twin: { ...NO_TWIN, rule, about: rule === 'turn' ? [0, 0] : null },
        ...rest,
      }
    },
    /** A stencil step without the openings that lie over an eye, a nostril or the mouth of this face. */
    clear(step: SheetStep): SheetStep {
      const { openings } = readSvg(shelfSvg(step.stencil)).sheet
      const laid = layOn(ground.surface, step, true)
      const keep = ground.keepOuts.filter(k => k.kind !== 'hair')
      const numbers = openings.flatMap((o, i) =>
        pointsOf(laid.ring(o.outer)).some(p => keep.some(k => ringHolds(k.ring, ...p))) ||
        keep.some(k => ringHolds(laid.ring(o.outer), ...pointsOf(k.ring)[0]!))
          ? []
          : [i],
      )
      return { ...step, passes: step.passes.map(p => ({ ...p, openings: { use: 'chosen', numbers } })) }
    },
    glitter(
      label: string,
      area: GlitterStep['area'],
      points: readonly Point[],
      more: Partial<Omit<GlitterStep, 'twin'>> & { rule?: TwinRule } = {},
    ): GlitterStep {
      const { rule = 'none', ...rest } = more
      return {
        ...freshGlitter(id(), area, points[0] ?? [0, 0], null, ground),
        label,
        points: tenths(points),
        twin: twin(rule),
        ...rest,
      }
    },
    lips: (colours: string[], more: Partial<LipsStep> = {}): LipsStep => ({
      ...freshLips(id(), colours.map(ref)),
      ...more,
    }),
    starter: (
      which: StarterId,
      dark: string,
      light: string,
      body: string,
      accent: string,
      host: SheetStep | null = null,
    ): Step[] =>
      starterOf(which).make({
        ground,
        focus,
        palette: { dark: ref(dark), light: ref(light), body: ref(body), accent: ref(accent) },
        id,
        host,
      }),
    gemOf: (
      points: readonly Point[],
      size: number,
      colour: Parameters<typeof gemColour>[0],
      more: Partial<GemStep> = {},
      rule: TwinRule = 'none',
    ): GemStep => h.gem(points, size, { colour: gemColour(colour), ...more }, rule),
  }
}
