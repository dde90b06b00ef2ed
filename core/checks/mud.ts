import { linearOf, masstone, mudOf } from '../paint'
import { laidPaint } from '../look'
import type { Check } from './finding'

/** Opposite colours blended wet turn to mud. */
export const mud: Check = ({ step, world }) =>
  step.kind !== 'wash'
    ? []
    : step.colours.slice(1).flatMap((second, i) => {
        const first = step.colours[i]!
        const found = mudOf(
          masstone(laidPaint(first, world).optics),
          masstone(laidPaint(second, world).optics),
        )
        if (!found.muddy) return []
        const lightest = [...step.colours].sort((a, b) => linearOf(b.colour)[1] - linearOf(a.colour)[1])[0]!
        return [
          {
            level: 'care' as const,
            title: `${first.name} and ${second.name} blend to mud`,
            why: `Blended wet their chroma falls to ${found.chroma.toFixed(0)}, less than half of ${found.parent.toFixed(0)}. Only neighbouring colours blend well; light belongs in the middle, dark outward.`,
            fix:
              step.colours.length > 1
                ? {
                    words: `Leave ${second.id === lightest.id ? first.name : second.name} out`,
                    sets: [
                      {
                        path: ['colours'],
                        to: step.colours.filter(
                          c => c.id !== (second.id === lightest.id ? first.id : second.id),
                        ),
                      },
                    ],
                  }
                : null,
          },
        ]
      })
