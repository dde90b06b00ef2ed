import { expect, it } from 'vitest'
import { bestNamed } from '../../../app/utils/bestNamed'

const LIST = [
  { words: 'Draw: outline', also: 'contour edge' },
  { words: 'Lay Outlined Star', also: 'stencil motif star' },
  { words: 'Gem', also: 'jewel sparkle' },
  { words: 'Glitter, round patch', also: 'sparkle' },
  { words: 'Star Shower', also: 'texture' },
  { words: 'Night Sky', also: 'star' },
]
const names = (typed: string) => bestNamed(typed, LIST).map(l => l.words)

it('finds things by their names before what only their other words say', () => {
  expect(names('star')).toEqual(['Star Shower', 'Lay Outlined Star', 'Night Sky'])
  expect(names('outline')).toEqual(['Draw: outline', 'Lay Outlined Star'])
  expect(names('sparkle')).toEqual(['Gem', 'Glitter, round patch'])
  expect(names('outline star')).toEqual(['Lay Outlined Star'])
  expect(names('nothing like it')).toEqual([])
  expect(names('')).toEqual(LIST.map(l => l.words))
})
