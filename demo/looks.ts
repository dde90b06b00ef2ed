import type { Point } from '../core/geometry'
import { axisFor, freshLook, freshSheet, freshWash, washRings, type Look, type PaintRef, type Pass, type SheetStep, type Wash } from '../core/look'
import { ADULT_FACE, type ZoneId } from '../core/skin'
import { paints } from './paints'

const ref = (id: string): PaintRef => {
  const { name, colour } = paints.find(p => p.id === id)!
  return { id, name, colour }
}

const wash = (id: string, label: string, zones: ZoneId[], colours: string[], more: Partial<Wash> = {}): Wash => ({ ...freshWash(id, label, zones, colours.map(ref), ADULT_FACE), ...more })

/** A base on an outline of its own, given for the right half and mirrored. */
function drawn(id: string, label: string, right: Point[], colours: string[], more: Partial<Wash> = {}): Wash {
  const outline: Point[] = [...right, ...right.map(([x, y]): Point => [-x, y]).reverse()]
  const base = { ...freshWash(id, label, ['face'], colours.map(ref), ADULT_FACE), region: { outline: outline.map(([x, y]): [number, number] => [x, y]) } }
  return { ...base, axis: axisFor(washRings(base, ADULT_FACE)) as Wash['axis'], ...more }
}

const pass = (paint: string, dabs = 5, more: Partial<Pass> = {}): Pass => ({ openings: { use: 'all' }, load: { kind: 'one', paint: ref(paint) }, tool: 'makeup', wetness: 'tacky', dabs, glitter: false, ...more })

const sheet = (id: string, label: string, stencil: string, at: Point, passes: Pass[], more: Partial<SheetStep> = {}): SheetStep => ({ ...freshSheet(id, label, stencil, at, ref('gull')), passes, ...more })

const look = (id: string, name: string, skin: Partial<Look['skin']>, about: Partial<Look>, steps: Look['steps']): Look => {
  const base = freshLook(id, name)
  return { ...base, ...about, skin: { ...base.skin, ...skin }, steps }
}

/** The outline of a mask over brows and eyes, right half, from the middle of the forehead round to the bridge of the nose. */
const MASK: Point[] = [[0, -34], [18, -37], [40, -42], [60, -44], [66, -30], [64, -8], [58, 10], [46, 22], [30, 24], [16, 19], [9, 12], [4, 14]]
const BROW_FAN: Point[] = [[0, -50], [22, -56], [46, -50], [58, -34], [60, -14], [48, 4], [36, 14], [18, 14], [10, 5], [5, 3]]

/** Looks of the Saltmarsh Lantern Fair. */
export const looks: Look[] = [
  look('demo-midnight-moth', 'Midnight Moth', { colour: '#dcb093', hair: '#3a2a20' }, { tags: ['fair', 'night'], budget: 360, notes: 'Saltmarsh Lantern Fair, ticket 014. Wants the moth to sit right between the brows.' }, [
    drawn('mm1', 'Night mask', MASK, ['lilac-pearl', 'dusk', 'midnight'], { axis: { kind: 'out', from: [0, -6], reach: 62 }, dabs: 3, glitter: true }),
    sheet('mm2', 'Scales, temples', 'scales', [55, 6], [pass('midnight', 6)], { tilt: 62, twin: 'midline', optional: true, worth: 3 }),
    sheet('mm3', 'Moth on the brow', 'moth', [0, -28], [pass('gull', 7), pass('lilac-pearl', 2, { openings: { use: 'chosen', numbers: [0] } })]),
    sheet('mm4', 'Eye marks', 'moth-eyes', [0, -28], [pass('midnight', 7, { tool: 'dauber' })]),
    sheet('mm5', 'Stars on the cheeks', 'star-set', [46, 40], [pass('oyster', 6)], { tilt: 20, twin: 'midline', optional: true, worth: 4 }),
  ]),
  look('demo-tide-queen', 'Tide Queen', { colour: '#8d5a3b', hair: '#1c1512', eyes: 'closed' }, { tags: ['fair', 'sea', 'crown'], budget: 420 }, [
    drawn('tq1', 'Sea base', BROW_FAN, ['sky', 'lagoon', 'harbour'], { axis: { kind: 'out', from: [0, 0], reach: 66 }, dabs: 3 }),
    sheet('tq2', 'Scales up the cheek', 'scales', [50, 26], [pass('lagoon', 6), pass('oyster', 2)], { tilt: -52, twin: 'midline' }),
    sheet('tq3', 'Tide crown', 'crown-crest', [0, -36], [pass('gull', 7), pass('lantern', 3)]),
    sheet('tq4', 'Bubbles', 'bubbles', [-62, 62], [pass('sky', 4)], { tilt: 8, optional: true, worth: 2 }),
  ]),
  look('demo-hive-keeper', 'Hive Keeper', { colour: '#efcdb4', hair: '#6d4a2c' }, { tags: ['fair', 'bee'], budget: 300 }, [
    drawn('hk1', 'Honey base', [[0, -56], [26, -58], [50, -50], [62, -30], [60, 0], [52, 30], [34, 42], [20, 34], [10, 14], [5, 4]], ['beacon', 'ember'], { axis: { kind: 'out', from: [0, -14], reach: 70 }, dabs: 3 }),
    sheet('hk2', 'Comb, side of the face', 'honeycomb', [54, -4], [pass('peat', 6)], { tilt: 74, twin: 'midline' }),
    sheet('hk3', 'Heart crest', 'heart-crest', [0, -32], [pass('soot', 8)]),
    sheet('hk4', 'Highlight', 'heart-crest', [0.5, -32.6], [pass('gull', 3)], { optional: true, worth: 3 }),
  ]),
  look('demo-fern-stag', 'Fern Stag', { colour: '#c58e66', hair: '#2a1d16' }, { tags: ['fair', 'forest'], budget: 330 }, [
    wash('fs1', 'Lid and temple', ['left.eye', 'right.eye', 'left.temple', 'right.temple'], ['fern', 'kelp'], { axis: { kind: 'out', from: [0, 2], reach: 70 }, dabs: 3 }),
    sheet('fs2', 'Fern over the brow', 'leaf-spray', [40, -38], [pass('kelp', 7), pass('beacon', 2)], { tilt: -14, twin: 'midline' }),
    sheet('fs3', 'Fern on the cheek', 'leaf-spray', [52, 30], [pass('gull', 7)], { tilt: 118, side: 'B', twin: 'midline' }),
    sheet('fs4', 'Lantern swirl', 'swirl-small', [0, -52], [pass('lantern', 6)], { tilt: 0, optional: true, worth: 2 }),
  ]),
  look('demo-barn-owl', 'Barn Owl', { colour: '#e8c3a4', hair: '#4b3625', eyes: 'closed' }, { tags: ['fair', 'bird'], budget: 360 }, [
    drawn('bo1', 'Facial disc', [[0, -48], [20, -58], [44, -54], [60, -34], [62, -4], [54, 24], [40, 40], [22, 46], [8, 52], [0, 56]], ['gull', 'sand', 'driftwood'], { axis: { kind: 'out', from: [0, 0], reach: 78 }, dabs: 4 }),
    sheet('bo2', 'Feather, brow', 'feather', [40, -34], [pass('peat', 7)], { tilt: -34, twin: 'midline' }),
    sheet('bo3', 'Feather, cheek', 'feather', [48, 26], [pass('driftwood', 6), pass('gull', 2)], { tilt: 22, side: 'A', twin: 'midline' }),
    sheet('bo4', 'Flecks', 'halftone', [0, -36], [pass('peat', 4)], { tilt: 0, optional: true, worth: 3 }),
  ]),
]
