import { bearing, wrapDegrees } from '../../../geometry'
import { labDifference, labOf, type Paint } from '../../../paint'
import { paintedWith } from '../../commands'
import { flowOf, freshAround, freshSheet } from '../../composition'
import type { Twin } from '../../document'
import { cakeRefOf, headingOf, isKind, kindOf, paintsOf, refOf, type SheetStep, type Step } from '../../kinds'
import type { Look } from '../../look'
import type { Alternative, AlternativeSort, Features } from './alternative'
import { labOfHex, mayLie, recolourings, showsShare, type Sources } from './recolour'

/** What points nowhere flows neither well nor badly. */
const POINTS_NOWHERE = 0.75
/** As many stencils are tried: more are hardly better. */
const MOST_STENCILS = 14

/** What tells a step apart from others. */
export function featuresOf(step: Step, outlined: boolean): Features {
  const first = paintsOf(step)[0]
  const sheet = isKind('sheet', step) ? step : null
  return {
    stencil: sheet?.stencil ?? step.kind,
    lab: labOfHex(first?.colour ?? '#808080'),
    tilt: sheet?.tilt ?? 0,
    twin: step.twin.rule,
    outlined,
    load: sheet?.passes[0]!.load.kind ?? 'one',
  }
}

/** How a step by itself leads to the focal point, 0 to 1. */
function flowShare(step: Step, { look, world }: Sources): number {
  const { elements, toward } = flowOf({ ...look, steps: [step] }, world)
  return elements.length ? (1 + toward) / 2 : POINTS_NOWHERE
}

/** The line steps that go around one. */
const outlinesOf = (id: string, steps: readonly Step[]): Step[] =>
  steps.filter(s => isKind('line', s) && kindOf(s).follows(s).includes(id))

/**
 * A step in another colour. Where it has several, from light to dark, each gives way to the paint of the kit that
 * is as light and nearest in hue to the new one; a brush that held several takes up the one.
 */
function inColour(step: Step, to: Paint, kit: readonly Paint[]): Step {
  if (isKind('line', step) && step.load.kind !== 'one')
    return { ...step, load: { kind: 'one', paint: refOf(to) } }
  const [first, ...rest] = paintsOf(step)
  const others = rest.filter((p, i, all) => p.id !== first!.id && all.findIndex(q => q.id === p.id) === i)
  const target = labOfHex(to.colour)
  const kin = (colour: string): Paint => {
    const from = labOfHex(colour)
    const wanted = { ...target, l: target.l + from.l - labOfHex(first!.colour).l }
    return kit
      .filter(p => !p.strips.length && p.id !== to.id)
      .reduce((best, p) =>
        labDifference(labOfHex(p.colour), wanted) < labDifference(labOfHex(best.colour), wanted) ? p : best,
      )
  }
  // All at once, so that a paint that comes in for one is not taken for another that was there.
  const taken = new Map([[first!.id, to], ...others.map(p => [p.id, kin(p.colour)] as const)])
  return paintedWith(step, ref => (taken.has(ref.id) ? refOf(taken.get(ref.id)!) : null))
}

/** A step with a split cake in its first layer or on its brush; null where none can be. */
function withCake(step: Step, paint: Paint): Step | null {
  if (paint.strips.length < 2) return null
  const cake = cakeRefOf(paint)
  if (isKind('sheet', step)) {
    const [first, ...more] = step.passes
    const load = { kind: 'cake' as const, cake, direction: 0 }
    return { ...step, passes: [{ ...first!, load, axis: undefined }, ...more] }
  }
  if (!isKind('line', step) || step.load.kind === 'one') return null
  return step.load.kind === 'cake' && step.load.cake.id === paint.id
    ? null
    : { ...step, load: { kind: 'cake', cake } }
}

/** The alternatives of one step, before any is chosen. */
class Generator {
  readonly list: Alternative[] = []
  private readonly outlines: Step[]

  constructor(
    private readonly step: Step,
    private readonly sources: Sources,
  ) {
    this.outlines = outlinesOf(step.id, sources.look.steps)
  }

  private add(
    sort: AlternativeSort,
    key: string,
    why: string,
    step: Step,
    {
      fits = 1,
      shows,
      more = [],
      without = [],
    }: { fits?: number; shows?: number; more?: Step[]; without?: string[] } = {},
  ): void {
    const outlined = more.length > 0 || (this.outlines.length > 0 && !without.length)
    const features = featuresOf(step, outlined)
    const share = shows ?? showsShare(features.lab, labOf(this.sources.beneath))
    const score = fits * share * flowShare(step, this.sources)
    this.list.push({ key, sort, why, steps: [step, ...more], without, features, score })
  }

  colours(): void {
    const { step, sources } = this
    const [now] = paintsOf(step)
    if (!now) return
    const at = kindOf(step).anchor(step)
    const kit = sources.kit.filter(p => mayLie(p, at, sources))
    for (const { paint, why, worth } of recolourings(now.id, at, step.id, sources))
      this.add('colour', `colour ${paint.id}`, why, inColour(step, paint, kit), { shows: worth })
  }

  /** Split cakes in the place of what a sheet's first pass or a brush is loaded with. */
  loads(): void {
    const { step, sources } = this
    for (const paint of sources.kit) {
      const loaded = mayLie(paint, kindOf(step).anchor(step), sources) ? withCake(step, paint) : null
      if (loaded) this.add('load', `load ${paint.id}`, `${paint.name}: its strips run across it`, loaded)
    }
  }

  stencils(sheet: SheetStep): void {
    for (const fit of this.sources.fits.filter(f => f.id !== sheet.stencil).slice(0, MOST_STENCILS)) {
      const name = this.sources.world.stencil(fit.id)?.name
      if (!name) continue
      const openings = fit.openings
        ? { use: 'chosen' as const, numbers: [...fit.openings] }
        : { use: 'all' as const }
      const passes = [{ ...sheet.passes[0]!, openings, part: undefined }]
      const { at, tilt, side } = fit
      const next: SheetStep = {
        ...sheet,
        label: name.slice(0, 60),
        stencil: fit.id,
        at: [...at] as [number, number],
        tilt,
        side: side ?? 'A',
        grip: [0, 0],
        register: null,
        passes,
      }
      this.add('stencil', `stencil ${fit.id}`, `${name}: ${fit.reasons[0] ?? 'fits here'}`, next, {
        fits: fit.score,
      })
    }
  }

  tilts(sheet: SheetStep): void {
    const { look, world } = this.sources
    const heading = headingOf(world.stencil(sheet.stencil)?.heading ?? null, sheet)
    const aimed = heading === null ? null : wrapDegrees(sheet.tilt + bearing(sheet.at, look.focus) - heading)
    const list: [number | null, string][] = [
      [aimed, 'turned to the focal point'],
      ...[30, -30, 60, -60, 90, 180].map((by): [number, string] => [
        wrapDegrees(sheet.tilt + by),
        by === 180 ? 'upside down' : `turned by ${Math.abs(by)}° ${by > 0 ? 'clockwise' : 'the other way'}`,
      ]),
    ]
    for (const [tilt, words] of list)
      if (tilt !== null)
        this.add('tilt', `tilt ${Math.round(tilt)}`, words, { ...sheet, tilt, register: null })
  }

  twins(): void {
    const { step, sources } = this
    const rules: [Twin['rule'], string][] = [
      ['none', 'on one side only: lopsided on purpose'],
      ['midline', 'with its twin, as in a mirror'],
      ['features', 'with its twin, as the features lie'],
      ['turn', 'with its twin, turned half round the focal point'],
    ]
    // A base that is drawn once over the midline looks no other with a twin.
    if (!kindOf(step).mayTwin(step) || kindOf(step).cautions.isBase) return
    for (const [rule, words] of rules) {
      if (rule === step.twin.rule) continue
      const about = rule === 'turn' ? ([...sources.look.focus] as [number, number]) : null
      this.add('twin', `twin ${rule}`, words, { ...step, twin: { rule, about, own: null } } as Step)
    }
  }

  outline(sheet: SheetStep, newId: string): void {
    if (this.outlines.length)
      return this.add('outline', 'outline none', 'without its outline', sheet, {
        without: this.outlines.map(s => s.id),
      })
    const below = labOf(this.sources.beneath)
    const singles = this.sources.kit.filter(p => !p.strips.length && mayLie(p, sheet.at, this.sources))
    const far = (p: Paint) => labDifference(labOfHex(p.colour), below)
    const [paint] = [...singles].sort((p, q) => far(q) - far(p))
    if (!paint) return
    for (const [shape, words] of [
      ['outline', 'with an outline'],
      ['halfOutline', 'with half an outline'],
    ] as const) {
      const line = freshAround(newId, shape, { use: 'step', step: sheet.id, openings: null }, refOf(paint))
      this.add('outline', `outline ${shape}`, `${words} in ${paint.name}`, sheet, { more: [line] })
    }
  }
}

/**
 * What could stand in the place of a step: other stencils that fit there, other paints and loads of the kit,
 * other tilts, twins and outlines, each with why and a score of how it fits, shows and flows.
 * @param newId an id for a step that comes besides
 */
export function alternativesTo(step: Step, sources: Sources, newId: string): Alternative[] {
  const made = new Generator(step, sources)
  made.colours()
  made.twins()
  made.loads()
  if (isKind('sheet', step)) {
    made.stencils(step)
    made.tilts(step)
    made.outline(step, newId)
  }
  return made.list
}

/**
 * What could stand on an empty spot: stencils that fit there, each in a colour that shows.
 * @param newId gives an id for each
 */
export function alternativesAt(sources: Sources, newId: () => string): Alternative[] {
  const { fits, world, beneath } = sources
  const paints = recolourings('', fits[0]?.at ?? null, null, sources)
  if (!paints.length) return []
  return fits.slice(0, 2 * MOST_STENCILS).flatMap((fit, n): Alternative[] => {
    const name = world.stencil(fit.id)?.name
    const { paint, why } = paints[n % Math.min(paints.length, 6)]!
    if (!name) return []
    const fresh = freshSheet(newId(), name, fit.id, [...fit.at] as [number, number], refOf(paint))
    const openings = fit.openings
      ? { use: 'chosen' as const, numbers: [...fit.openings] }
      : { use: 'all' as const }
    const step: SheetStep = {
      ...fresh,
      tilt: fit.tilt,
      side: fit.side ?? 'A',
      passes: [{ ...fresh.passes[0]!, openings }],
    }
    const features = featuresOf(step, false)
    const score = fit.score * showsShare(features.lab, labOf(beneath)) * flowShare(step, sources)
    const key = `spot ${fit.id} ${paint.id}`
    return [{ key, sort: 'stencil', why: `${name}, ${why}`, steps: [step], without: [], features, score }]
  })
}

/** The steps of a look with an alternative in the place of a step, or on top where there was none. */
export function withAlternative(look: Look, stepId: string | null, { steps, without }: Alternative): Step[] {
  const [step, ...more] = steps
  const left = look.steps.filter(s => !without.includes(s.id))
  const at = left.findIndex(s => s.id === stepId)
  if (at < 0) return [...left, ...steps]
  return [...left.slice(0, at), step!, ...more, ...left.slice(at + 1)]
}
