import { centroidOf, type Polygon } from '../geometry'
import { ageOf, otherSchools, USUAL_WAYS, type Look, type World } from '../look'
import { LEAVE_OUT, type Case, type Check, type Fix, type Found } from './finding'
import { keptOff } from './keepOff'
import { isLips, onShutLids } from './places'

export const LABEL = "Local rules and the product's label come first."
/** Below this age the usual practice is a small design on the arm or none, years (common practice). */
export const ARM_ONLY = 3

/** More of a place than this is painted and not only touched at its edge, mm2 (common practice). */
const PAINTED = 6

/** What keeps a step off a place; lashes and lips are that place, so they can only go. */
function clearOf(at: Case, region: readonly Polygon[], named: string): Fix {
  if (onShutLids(at.step) || isLips(at.step)) return LEAVE_OUT
  return keptOff(
    at.step,
    { region, named, middle: centroidOf(at.cover.within(region)), most: PAINTED },
    at.world,
  )
}

/** What a person said counts for the steps that it concerns. */
export const answers: Check = at => {
  const { sitting } = at.look
  const { step, cover, regions } = at
  const found: Found[] = []
  if (sitting.eyes === 'no' && (onShutLids(step) || cover.area(regions.nearEyes) > PAINTED)) {
    found.push({
      level: 'problem',
      title: 'No paint near the eyes was wanted',
      why: 'The person said no to the eyes: leave them free, or leave this step out.',
      fix: clearOf(at, regions.nearEyes, 'eyes'),
    })
  }
  if (sitting.lips === 'no' && (isLips(step) || cover.area(regions.lips) > PAINTED)) {
    found.push({
      level: 'problem',
      title: 'No paint on the lips was wanted',
      why: 'The person said no to the lips: leave them free, or leave this step out.',
      fix: clearOf(at, regions.lips, 'lips'),
    })
  }
  return found
}

/** Lids and lash line of young children stay clear. */
export const lids: Check = at => {
  const age = ageOf(at.look)
  const { lids: school, lidsFrom } = at.world.ways ?? USUAL_WAYS
  const own = onShutLids(at.step)
  if (age >= lidsFrom || !at.regions.lids.length || !(own || at.cover.area(at.regions.lids) > PAINTED))
    return []
  return [
    {
      // Some paint them: then it is worth a word and not a warning.
      level: school === 'clear' ? 'warning' : 'tip',
      title: `${own ? 'Lash line' : 'Eyelid'} of a child of ${age}`,
      why: `Common practice leaves eyelids and lashes clear under ${lidsFrom} years: they cannot hold their eyes shut. ${otherSchools('lids', school)} ${LABEL}`,
      fix: clearOf(at, at.regions.lids, 'lids'),
    },
  ]
}

/** While a lid is worked the eyes are shut, and ten seconds longer; the step can say so and count it. */
export const shutEyes: Check = ({ step, look, cover, regions }) =>
  step.eyes === 'shut' ||
  look.skin.eyes === 'closed' ||
  !(onShutLids(step) || cover.area(regions.lids) > PAINTED)
    ? []
    : [
        {
          level: 'tip',
          title: 'Eyes shut for this step',
          why: 'A lid is worked: ask first, eyes shut while it is painted and about ten seconds after (common practice). Said on the step, it stands on the step list and counts in the time.',
          fix: { words: 'Eyes shut', sets: [{ path: ['eyes'], to: 'shut' }] },
        },
      ]

/** Nothing is shared on lips. */
export const lipsShared: Check = ({ step }) =>
  !isLips(step)
    ? []
    : [
        {
          level: 'tip',
          title: 'One cotton bud, one person',
          why: `Take the paint off the cake first, with a fresh bud; nothing goes from lips back to the cake. ${LABEL}`,
          fix: null,
        },
      ]

/** What concerns the whole sitting: told once, on no step. */
export function sittingFindings(look: Look, world: World): Found[] {
  const { sitting } = look
  const found: Found[] = []
  const age = ageOf(look)
  if (age < ARM_ONLY && world.ground.face) {
    found.push({
      level: 'problem',
      title: `Under ${ARM_ONLY} years: the arm only`,
      why: `Common practice, and many insurers: very young children get a small design on the arm or none. ${LABEL}`,
      fix: null,
    })
  }
  if (sitting.skin === 'broken or sore') {
    found.push({
      level: 'problem',
      title: 'No paint on broken or sore skin',
      why: 'Leave that place out, or do not paint today. Nobody who is ill is painted.',
      fix: null,
    })
  }
  if (sitting.patch === 'reacted')
    found.push({
      level: 'problem',
      title: 'The test patch reacted',
      why: 'Wash it off with soap and water and do not paint.',
      fix: null,
    })
  else if (sitting.allergies === 'some' && sitting.patch !== 'clear') {
    found.push({
      level: 'warning',
      title: 'Allergies: test patch first',
      why: `Dab a little on the inner arm and wait; read the labels together. ${LABEL}`,
      fix: null,
    })
  }
  if (sitting.allergies === 'not asked' || sitting.skin === 'not asked') {
    found.push({
      level: 'tip',
      title: 'Ask before painting',
      why: 'Allergies, skin trouble, eyes and lips yes or no; offer a test patch.',
      fix: null,
    })
  }
  return found
}
