import { anchorOf, isKind, movedLoops, type Step } from '#core/look'
import type { Point } from '#core/geometry'

/** A drawn shape of the selected step, with its middle. */
export interface HeldLoop {
  readonly points: readonly Point[]
  readonly middle: Point
  /** What lies in it is painted, or is left free. */
  readonly free: boolean
}

type Place = (step: Step) => [number, number][] | undefined

/** Where in a step each of its drawn shapes is kept: parts of its passes first, then what is left free. */
function placesOf(
  step: Step,
): { get: Place; set: (s: Step, loop: [number, number][]) => void; free: boolean }[] {
  const parts = isKind('sheet', step)
    ? step.passes.flatMap((pass, i) =>
        pass.part?.by === 'shape'
          ? [
              {
                free: false,
                get: (s: Step) =>
                  isKind('sheet', s) && s.passes[i]?.part?.by === 'shape' ? s.passes[i].part.loop : undefined,
                set: (s: Step, loop: [number, number][]) => {
                  const part = isKind('sheet', s) ? s.passes[i]?.part : undefined
                  if (part?.by === 'shape') part.loop = loop
                },
              },
            ]
          : [],
      )
    : []
  const holes =
    'holes' in step && step.holes
      ? step.holes.map((_, i) => ({
          free: true,
          get: (s: Step) => ('holes' in s ? s.holes?.[i] : undefined),
          set: (s: Step, loop: [number, number][]) => {
            if ('holes' in s && s.holes) s.holes[i] = loop
          },
        }))
      : []
  return [...parts, ...holes]
}

/** The drawn shapes of the selected step, and moving one of them. */
export function useLoops() {
  const selection = useSelection()
  const steps = useSteps()
  const loops = computed<HeldLoop[]>(() => {
    const { step } = selection
    if (!step || selection.steps.length > 1) return []
    return placesOf(step).flatMap(({ get, free }) => {
      const points = get(step)
      return points ? [{ points, middle: anchorOf(points), free }] : []
    })
  })
  function move(n: number, [dx, dy]: Point): void {
    steps.edit('move a drawn shape', s => {
      const place = placesOf(s)[n]
      const loop = place?.get(s)
      if (place && loop) place.set(s, movedLoops([loop], ([x, y]) => [x + dx, y + dy])[0]!)
    })
  }
  return { loops, move }
}
