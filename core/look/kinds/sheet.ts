import { z } from 'zod'
import { polygonArea, ringsOf, type Polygon } from '../../geometry'
import { dabSeconds, HANDS, loadsFor } from '../../order'
import { filmOf, linearOf, opacityOf, TOOLS } from '../../paint'
import { layOn, mirroredPlacement, type Placement } from '../../skin'
import type { Stencil } from '../../stencil'
import { bounded, dabsSchema, idSchema, paintRefSchema, pointSchema, stepBase, textSchema, toolSchema, wetnessSchema } from '../parts'
import { clockOf, whereIs } from '../where'
import type { CardLine, StepKind } from './kind'

const openings = z.discriminatedUnion('use', [
  z.strictObject({ use: z.literal('all') }),
  z.strictObject({ use: z.literal('group'), name: textSchema(40) }),
  z.strictObject({ use: z.literal('chosen'), numbers: z.array(z.int().min(0)).min(1, 'must choose at least one opening').max(5000) }),
], { error: 'must use all openings, a group or chosen ones' })

const load = z.discriminatedUnion('kind', [z.strictObject({ kind: z.literal('one'), paint: paintRefSchema })], { error: 'must be a load of one colour' })

export const passSchema = z.strictObject({
  openings, load, tool: toolSchema, wetness: wetnessSchema, dabs: dabsSchema, glitter: z.boolean({ error: 'must be true or false' }),
})
export type Pass = z.infer<typeof passSchema>

export const sheetSchema = z.strictObject({
  kind: z.literal('sheet'),
  ...stepBase,
  stencil: idSchema,
  at: pointSchema,
  tilt: bounded(-360, 360),
  side: z.enum(['A', 'B'], { error: 'must be A or B' }),
  passes: z.array(passSchema).min(1, 'must have at least one pass').max(8, 'must have at most 8 passes'),
})
export type SheetStep = z.infer<typeof sheetSchema>

/** Where the sheet of a step lies, its twin after it when it has one. */
export function placementsOf(step: SheetStep): Placement[] {
  const own: Placement = { at: step.at, tilt: step.tilt, side: step.side }
  return step.twin === 'midline' ? [own, mirroredPlacement(own)] : [own]
}

/** The openings that a pass paints. */
export function passOpenings(pass: Pass, stencil: Stencil): Polygon[] {
  return openingNumbers(pass, stencil).flatMap(n => stencil.openings[n] ?? [])
}

/** The numbers of the openings that a pass paints; none when its group is not there any more. */
export function openingNumbers({ openings }: Pass, stencil: Stencil): readonly number[] {
  if (openings.use === 'all') return stencil.openings.map((_, n) => n)
  return openings.use === 'chosen' ? openings.numbers : stencil.groups?.find(g => g.name === openings.name)?.openings ?? []
}

/** Which openings a pass paints, in words; empty for all. */
const openingWords = ({ openings }: Pass): string => openings.use === 'all' ? '' : openings.use === 'group' ? `, ${openings.name} only` : `, ${openings.numbers.length} openings only`

const openArea = (pass: Pass, stencil: Stencil) => passOpenings(pass, stencil).reduce((a, p) => a + polygonArea(p), 0)

export const sheetKind: StepKind<SheetStep> = {
  kind: 'sheet',
  words: 'stencil',
  schema: sheetSchema,
  sheets: step => [step.stencil],
  paints: step => step.passes.map(p => p.load.paint),
  prints(step, { stencil, paintColour }) {
    const sheet = stencil(step.stencil)
    if (!sheet) return []
    return placementsOf(step).flatMap((placement) => {
      const laid = layOn(placement)
      return step.passes.map(pass => ({
        rings: ringsOf(passOpenings(pass, sheet)).map(laid.ring),
        colours: [linearOf(paintColour(pass.load.paint.id) ?? pass.load.paint.colour)],
        axis: null, opacity: opacityOf(filmOf(pass.tool, pass.wetness, pass.dabs)), softness: 0.12, grain: pass.tool === 'dauber' ? 0.25 : 0.4,
      }))
    })
  },
  outlines(step, { stencil }) {
    const sheet = stencil(step.stencil)
    if (!sheet) return []
    return placementsOf(step).map((placement, i) => {
      const laid = layOn(placement)
      return { stepId: step.id, twin: i > 0, ring: laid.ring(sheet.outline), openings: ringsOf(sheet.openings).map(laid.ring) }
    })
  },
  lines(step, { face, stencil }) {
    const sheet = stencil(step.stencil), where = whereIs(face, step.at)
    const lines: CardLine[] = [
      { label: 'sheet', text: `${sheet?.name ?? 'missing sheet'}, side ${step.side}, top at ${clockOf(step.tilt)}` },
      { label: 'where', text: `${where.landmark}; ${where.midline}` },
    ]
    step.passes.forEach((pass, i) => lines.push({
      label: step.passes.length > 1 ? `pass ${i + 1}` : 'colour',
      text: `${pass.load.paint.name}, ${TOOLS[pass.tool].name}, ${pass.wetness}, ${pass.dabs} ${pass.dabs === 1 ? 'dab' : 'dabs'}${openingWords(pass)}${pass.glitter ? ', glitter before lifting' : ''}`,
    }))
    if (step.twin === 'midline') {
      const [, twin] = placementsOf(step)
      lines.push({ label: 'twin', text: `wipe and flip to side ${twin!.side}; ${whereIs(face, twin!.at).landmark}, top at ${clockOf(twin!.tilt)}` })
    }
    return lines
  },
  effort(step, { stencil }) {
    const sheet = stencil(step.stencil), twins = step.twin === 'midline' ? 2 : 1
    if (!sheet) return { seconds: 0, loads: 0 }
    let loads = 0, seconds = HANDS.place + HANDS.lift
    for (const pass of step.passes) {
      const area = openArea(pass, sheet), n = loadsFor(area, filmOf(pass.tool, pass.wetness, 1), pass.dabs, pass.tool)
      loads += n
      seconds += HANDS.reload * n + dabSeconds(area, pass.dabs, pass.tool) + (pass.glitter ? HANDS.glitter : 0)
    }
    return { loads: loads * twins, seconds: seconds * twins + (twins > 1 ? HANDS.wipe : 0) }
  },
  fields: [
    { control: 'placement', path: '', label: 'Where' }, { control: 'twin', path: 'twin', label: 'Twin' }, { control: 'passes', path: 'passes', label: 'Passes' },
  ],
  anchor: step => step.at,
  tool: step => step.passes[0]?.tool ?? null,
}
