import { SLIPS } from '../paint'
import { mm, ofSheets } from './finding'

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
