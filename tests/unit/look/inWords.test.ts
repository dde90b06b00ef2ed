import { describe, expect, it } from 'vitest'
import {
  freshLook,
  groundFor,
  hostsIn,
  lookInWords,
  stepsOff,
  type Look,
  type World,
} from '../../../core/look'
import { colourWords } from '../../../core/paint'
import { looks } from '../../../demo/looks'
import { paints } from '../../../demo/paints'
import { shelf, shelfSvg } from '../../../demo/shelf'
import { prepared, readSvg } from '../../../core/stencil'

const sheets = new Map(
  shelf.map(about => [
    about.id,
    prepared({ ...about, copies: 2, groups: [], ...readSvg(shelfSvg(about.id)).sheet }),
  ]),
)
const worldOf = (look: Look): World => ({
  ground: groundFor(look),
  ...hostsIn(look.steps),
  off: stepsOff(look),
  stencil: id => sheets.get(id),
  paint: id => paints.find(p => p.id === id),
  flat: true,
})
const told = (look: Look) => lookInWords(look, worldOf(look))
const named = (name: string) => looks.find(l => l.name === name)!

describe('a look in words', () => {
  it('tells of every demo look each step once, in order, with its label and its colours', () => {
    for (const look of looks) {
      const { steps } = told(look)
      expect(steps.map(s => s.id)).toEqual(look.steps.map(s => s.id))
      for (const [i, { words }] of steps.entries()) {
        expect(words).toMatch(new RegExp(`^${i + 1}\\. `))
        expect(words).toContain(look.steps[i]!.label)
        expect(words).toMatch(/\.$/)
        expect(words).not.toMatch(/undefined|null|NaN|, ,/)
      }
    }
  })

  it('says where: zones, sides that are the person own, and pairs as one', () => {
    const tide = told(named('Tide Queen')).steps.map(s => s.words)
    expect(tide.find(w => w.includes('Tide crown'))).toMatch(/on the forehead/)
    expect(tide.find(w => w.includes('Scales up the cheek'))).toMatch(
      /22 of 111 openings.*on both cheeks, with its twin/,
    )
    // The koi swims on the picture's left, which is the person's right.
    expect(told(named('Koi Lantern')).steps[6]!.words).toMatch(/on their right cheek/)
  })

  it('names what is bare, and not what a step lies on', () => {
    const { bare } = told(named('Midnight Moth'))
    expect(bare).toBe('the chin')
    const crown = told({ ...freshLook('a', 'A'), steps: [named('Tide Queen').steps[2]!] })
    expect(crown.bare).toMatch(/nose.*chin.*both cheeks/)
  })

  it('tells of an arm by its bands', () => {
    const arm = looks.find(l => l.canvas.kind === 'arm')!
    const { summary, steps } = told(arm)
    expect(summary).toMatch(/arm/)
    expect(steps.some(s => /band/.test(s.words))).toBe(true)
  })

  it('says that nothing is painted, and that a step is left out', () => {
    expect(told(freshLook('a', 'Empty')).summary).toMatch(
      /^Empty: a face, 30 years, .* skin\. Nothing is painted yet\.$/,
    )
    const look = { ...named('Midnight Moth'), shorter: true }
    const steps = look.steps.map((s, i) => (i === 12 ? { ...s, optional: true } : s))
    expect(told({ ...look, steps }).steps[12]!.words).toMatch(/left out now\.$/)
  })
})

describe('colours in words', () => {
  // Names that common usage gives these web colours.
  it.each([
    ['#000000', 'black'],
    ['#ffffff', 'white'],
    ['#808080', 'grey'],
    ['#ff0000', 'red'],
    ['#ffa500', 'orange'],
    ['#ffff00', 'yellow'],
    ['#00ff00', 'green'],
    ['#008080', 'teal'],
    ['#0000ff', 'blue'],
    ['#000080', 'dark blue'],
    ['#800080', 'dark purple'],
    ['#ffc0cb', 'pale pink'],
    ['#8b4513', 'brown'],
    ['#d2b48c', 'light brown'],
    ['#808000', 'olive green'],
  ])('%s is %s', (hex, words) => expect(colourWords(hex)).toBe(words))

  it('refuses what is no colour', () => {
    expect(() => colourWords('mud')).toThrow(/"mud" is not a colour/)
  })
})
