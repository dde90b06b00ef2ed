import { z } from 'zod'
import { boxOf, EMPTY_BOX, polygonArea, regionOf, ringOf, type Point, type Ring } from '../../geometry'
import { dabSeconds, HANDS, loadsFor } from '../../order'
import { filmOf, linearOf, opacityOf, TOOLS } from '../../paint'
import { zoneRing, zoneWords, type Landmarks } from '../../skin'
import { bounded, dabsSchema, FAR, paintRefSchema, pointSchema, stepBase, toolSchema, wetnessSchema, zoneSchema } from '../parts'
import type { Axis, StepKind } from './kind'

const region = z.union([
  z.strictObject({ zones: z.array(zoneSchema).min(1, 'must name at least one zone').max(13) }),
  z.strictObject({ outline: z.array(pointSchema).min(3, 'must have at least three points').max(400, 'must not have more than 400 points') }),
], { error: 'must name zones, or give an outline of three points or more' })

const axis = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('out'), from: pointSchema, reach: bounded(1, FAR) }),
  z.strictObject({ kind: z.literal('line'), from: pointSchema, to: pointSchema }),
], { error: 'must run out from a point or along a line' })

export const washSchema = z.strictObject({
  kind: z.literal('wash'),
  ...stepBase,
  region,
  colours: z.array(paintRefSchema).min(1, 'must have at least one colour').max(4, 'must have at most four colours'),
  axis,
  tool: toolSchema,
  wetness: wetnessSchema,
  dabs: dabsSchema,
  glitter: z.boolean({ error: 'must be true or false' }),
})

export type Wash = z.infer<typeof washSchema>

/** The rings of a wash's region, joined where zones touch. */
export function washRings(wash: Wash, face: Landmarks): Ring[] {
  const rings = 'zones' in wash.region ? wash.region.zones.map(id => zoneRing(face, id)) : [ringOf(wash.region.outline)]
  // Zone rings run either way round; each is made a region of its own before they are joined.
  return regionOf(rings.flatMap(r => regionOf([r], 'evenodd').map(p => p.outer)), 'nonzero').flatMap(p => [p.outer, ...p.holes])
}

/** An axis that suits a region: out from its middle, as far as it goes. */
export function axisFor(rings: readonly Ring[]): Axis {
  const box = rings.reduce((b, r) => boxOf(r, b), { ...EMPTY_BOX })
  const from: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]
  return { kind: 'out', from, reach: Math.max(5, Math.hypot(box.maxX - box.minX, box.maxY - box.minY) / 2) }
}

const area = (wash: Wash, face: Landmarks): number => regionOf(washRings(wash, face), 'nonzero').reduce((a, p) => a + polygonArea(p), 0)

export const washKind: StepKind<Wash> = {
  kind: 'wash',
  words: 'base',
  schema: washSchema,
  sheets: () => [],
  paints: wash => wash.colours,
  prints(wash, { face, paintColour }) {
    return [{
      rings: washRings(wash, face), colours: wash.colours.map(c => linearOf(paintColour(c.id) ?? c.colour)), axis: wash.colours.length > 1 ? wash.axis : null,
      opacity: opacityOf(filmOf(wash.tool, wash.wetness, wash.dabs)), softness: TOOLS[wash.tool].rim, grain: 0.35,
    }]
  },
  outlines: () => [],
  lines(wash) {
    const where = 'zones' in wash.region ? wash.region.zones.map(zoneWords).join(', ') : 'the drawn outline'
    const names = wash.colours.map(c => c.name)
    return [
      { label: 'where', text: where },
      { label: 'colour', text: names.length === 1 ? names[0]! : `${names.join(' to ')}, ${wash.axis.kind === 'out' ? 'from the middle out' : 'along the line'}` },
      { label: 'tool', text: `${TOOLS[wash.tool].name}, ${wash.wetness}, ${wash.dabs} ${wash.dabs === 1 ? 'layer' : 'layers'}${wash.glitter ? ', fine glitter while wet' : ''}` },
    ]
  },
  effort(wash, { face }) {
    const a = area(wash, face), loads = loadsFor(a, filmOf(wash.tool, wash.wetness, 1), wash.dabs, wash.tool)
    const blend = HANDS.blend * (wash.colours.length - 1)
    return { loads, seconds: HANDS.reload * Math.max(loads, wash.colours.length) + dabSeconds(a, wash.dabs, wash.tool) + blend + (wash.glitter ? HANDS.glitter : 0) }
  },
  fields: [
    { control: 'zones', path: 'region', label: 'Where' }, { control: 'paints', path: 'colours', label: 'Colours, light to dark' }, { control: 'axis', path: 'axis', label: 'They run' },
    { control: 'tool', path: 'tool', label: 'Tool' }, { control: 'wetness', path: 'wetness', label: 'Wetness' }, { control: 'dabs', path: 'dabs', label: 'Layers' },
    { control: 'switch', path: 'glitter', label: 'Fine glitter while wet' },
  ],
  anchor: () => null,
  tool: wash => wash.tool,
}
