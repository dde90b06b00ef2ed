import { expect, it } from 'vitest'
import { looks } from '../../../demo/looks'
import {
  groundFor,
  kindOf,
  mirroredLook,
  movedTo,
  parseLook,
  withSteps,
  freshLook,
  freshWash,
  type Look,
} from '#core/look'
import { boxOf, EMPTY_BOX, type Box } from '#core/geometry'
import { ground, paint, sheets } from '../world'

const boxesOf = (look: Look): Box[] => {
  const world = withSteps(
    { ground: groundFor(look), stencil: sheets.get, paint: () => undefined },
    look.steps,
  )
  return look.steps.map(s =>
    kindOf(s)
      .prints(s, { ...world, flat: true })
      .flatMap(p => p.rings)
      .reduce((b, r) => boxOf(r, b), { ...EMPTY_BOX }),
  )
}

it.each(looks.filter((_, i) => i % 4 === 0).map(l => [l.name, l] as const))(
  '%s lies on the other side as its mirror image, and comes back',
  (_, look) => {
    const other = mirroredLook(look)
    const read = parseLook(JSON.parse(JSON.stringify(other)))
    expect(read.ok ? [] : read.errors).toEqual([])
    const mine = boxesOf(look)
    boxesOf(other).forEach((b, i) => {
      const own = mine[i]!
      const step = look.steps[i]!
      // What has a twin lies on both sides, each by its own features; and what goes around others, as they do.
      if (step.twin.rule !== 'none' || kindOf(step).follows(step).length) return
      // A stroke that leans to one side of its way leans to the same side of the way that is turned over.
      const near = step.kind === 'line' ? 13 : 3
      for (const [a, c] of [
        [b.minX, -own.maxX],
        [b.maxX, -own.minX],
        [b.minY, own.minY],
        [b.maxY, own.maxY],
      ] as const)
        if (Number.isFinite(c)) expect(Math.abs(a - c)).toBeLessThan(near)
    })
    const back = boxesOf(mirroredLook(other))
    back.forEach((b, i) => {
      if (Number.isFinite(b.minX)) expect(Math.abs(b.minX - mine[i]!.minX)).toBeLessThan(1)
    })
  },
)

it('a base that is called after its zones is called after those of the new canvas', () => {
  const own = freshWash('o', 'Lion skin', ['forehead'], [paint('sky')], ground)
  const named = freshWash(
    'n',
    'Base, forehead and cheeks',
    ['forehead', 'left.cheek'],
    [paint('sky')],
    ground,
  )
  const look: Look = { ...freshLook('l', 'L'), steps: [own, named] }
  const arm = { kind: 'arm', part: 'forearm', side: 'left', measures: null } as const
  expect(movedTo(look, arm, 8, sheets.get).look.steps.map(s => s.label)).toEqual([
    'Lion skin',
    'Base, upper band and middle band',
  ])
})
