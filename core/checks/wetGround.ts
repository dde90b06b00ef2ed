import { isBase, kindOf } from '../look'
import { SLIPS } from '../paint'
import { mm, ofSheets, type Check } from './finding'
import { drawnLater } from './shift'

/** A sheet on a base that is still wet lifts and drags the paint. */
export const wetGround = ofSheets(({ step, under }) =>
  step.dry || under.state === 'dry' || !under.by
    ? []
    : [
        {
          level: under.state === 'wet' ? 'problem' : 'warning',
          title: `Laid on a ${under.state} base`,
          why: `"${under.by.label}" needs about ${under.wait} s more to dry (estimate). The stencil lifts the paint, smears it about ${mm(SLIPS[under.state])} along and mixes it into the print (estimates), and paint bleeds ${under.state === 'wet' ? 'three times' : 'half as much again'} under the edge.`,
          fix: { words: 'Let it dry first', sets: [{ path: ['dry'], to: true }] },
        },
      ],
)

/**
 * A brush takes up a wet base and carries it along its line; what other strokes leave is too little to
 * matter.
 */
export const wetLine: Check = at => {
  const { step, under } = at
  return !kindOf(step).cautions.takesUpBase || under.state !== 'wet' || !under.by || !isBase(under.by)
    ? []
    : [
        {
          level: 'tip',
          title: 'Drawn into a wet base',
          why: `"${under.by.label}" needs about ${under.wait} s more to dry (estimate): the brush takes its paint up and the colour turns muddy. Paint something elsewhere first.`,
          fix: drawnLater(at),
        },
      ]
}
