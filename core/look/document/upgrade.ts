import { PLAIN_FACE } from '../../skin'
import { LOOK_FORMAT } from './format'
import { NO_TWIN } from './parts'
import { NOT_ASKED } from './sitting'

/**
 * A look as some earlier version of the application wrote it, brought to the present version; anything else
 * is passed on as it is.
 */
export function upgraded(data: unknown): unknown {
  if (typeof data !== 'object' || data === null) return data
  const look = data as Record<string, unknown>
  if (look.format !== LOOK_FORMAT) return data
  const second = look.version === 1 ? fromVersion1(look) : look
  const third = second.version === 2 ? fromVersion2(second) : second
  const fourth = third.version === 3 ? fromVersion3(third) : third
  return fourth.version === 4 ? fromVersion4(fourth) : fourth
}

/**
 * Version 1 knew one adult face, twins across the midline on the other side, and sheets pressed down at their
 * middle.
 */
function fromVersion1(look: Record<string, unknown>): Record<string, unknown> {
  const steps = stepsOf(look)
  return {
    ...look,
    version: 2,
    canvas: { ...PLAIN_FACE },
    steps: steps.map(step => ({
      ...step,
      twin: step.twin === 'midline' || step.twin === 'none' ? { ...NO_TWIN, rule: step.twin } : step.twin,
      ...(step.kind === 'sheet' && { grip: [0, 0], register: null }),
    })),
  }
}

/** Version 2 knew neither loads of less than a tool can hold nor sheets that are laid on wet paint. */
function fromVersion2(look: Record<string, unknown>): Record<string, unknown> {
  const pass = (p: unknown) => (typeof p === 'object' && p !== null ? { charge: 1, ...p } : p)
  return {
    ...look,
    version: 3,
    steps: stepsOf(look).map(step =>
      step.kind === 'sheet'
        ? { dry: true, ...step, passes: Array.isArray(step.passes) ? step.passes.map(pass) : step.passes }
        : step,
    ),
  }
}

/** Version 3 knew neither a sitting nor groups of steps. */
const fromVersion3 = (look: Record<string, unknown>): Record<string, unknown> => ({
  sitting: { ...NOT_ASKED },
  ...look,
  version: 4,
  steps: Array.isArray(look.steps)
    ? look.steps.map((step: unknown) =>
        typeof step === 'object' && step !== null ? { group: null, ...step } : step,
      )
    : look.steps,
})

/**
 * Version 4 kept the zones or the drawn outline of a base as its region; it had no twin, and its outline went
 * straight from point to point.
 */
function fromVersion4(look: Record<string, unknown>): Record<string, unknown> {
  return {
    ...look,
    version: 5,
    steps: Array.isArray(look.steps)
      ? look.steps.map((step: unknown) => {
          if (typeof step !== 'object' || step === null || (step as { kind?: unknown }).kind !== 'wash')
            return step
          const { region, ...wash } = step as { region?: { zones?: unknown; outline?: unknown } }
          return {
            ...wash,
            twin: { ...NO_TWIN },
            zones: region?.zones ?? [],
            points: region?.outline ?? [],
            straight: true,
          }
        })
      : look.steps,
  }
}

const stepsOf = (look: Record<string, unknown>): Record<string, unknown>[] =>
  Array.isArray(look.steps) ? look.steps.filter(s => typeof s === 'object' && s !== null) : []
