import type { Point } from '../geometry'
import type { Landmarks, ZoneId } from '../skin'
import { axisFor, washRings, type SheetStep, type Wash } from './kinds'
import { LOOK_FORMAT, LOOK_VERSION, type Look } from './look'
import type { PaintRef } from './parts'

/** A new empty look on an adult face of a middle skin tone. */
export function freshLook(id: string, name: string): Look {
  return {
    format: LOOK_FORMAT, version: LOOK_VERSION, id, name, notes: '', tags: [], canvas: { kind: 'face' },
    skin: { colour: '#d9a98a', hair: '#3a2a20', eyes: 'open', age: 30 }, focus: [0, 0], budget: null, steps: [],
  }
}

/** A new base over some zones, light in their middle. */
export function freshWash(id: string, label: string, zones: ZoneId[], colours: PaintRef[], face: Landmarks): Wash {
  const wash: Wash = {
    kind: 'wash', id, label, optional: false, worth: 5, twin: 'none', region: { zones }, colours,
    axis: { kind: 'out', from: [0, 0], reach: 60 }, tool: 'openCell', wetness: 'damp', dabs: 2, glitter: false,
  }
  return { ...wash, axis: axisFor(washRings(wash, face)) as Wash['axis'] }
}

/** A new stencil step with one pass of one colour. */
export function freshSheet(id: string, label: string, stencil: string, at: Point, paint: PaintRef): SheetStep {
  return {
    kind: 'sheet', id, label, optional: false, worth: 5, twin: 'none', stencil, at: [at[0], at[1]], tilt: 0, side: 'A',
    passes: [{ openings: { use: 'all' }, load: { kind: 'one', paint }, tool: 'makeup', wetness: 'tacky', dabs: 4, glitter: false }],
  }
}
