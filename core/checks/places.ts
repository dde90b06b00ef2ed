import { kindOf, type Step } from '../look'

/** Whether a step is drawn on eyes that are shut for it, whatever the finished look shows. */
export const onShutLids = (step: Step): boolean => kindOf(step).cautions.onShutLids?.(step) ?? false

/** Whether a step is the lips themselves. */
export const isLips = (step: Step): boolean => kindOf(step).cautions.onLips ?? false

/** Whether the eyes are shut while a step is painted: what lies over them lies on the lids. */
export const shutFor = (step: Step): boolean => step.eyes === 'shut' || onShutLids(step)
