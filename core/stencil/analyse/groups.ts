import { boxOf, perimeter, polygonArea, signedArea, type Polygon } from '../../geometry'

/** A named set of openings, by their numbers on the sheet. */
export interface OpeningGroup {
  name: string
  openings: number[]
}

/**
 * Groups of openings of like size and shape, largest openings first; a sheet whose openings are all alike has
 * one.
 */
export function proposedGroups(openings: readonly Polygon[]): OpeningGroup[] {
  const features = openings
    .map((o, i) => {
      const area = polygonArea(o)
      const box = boxOf(o.outer)
      const round = (4 * Math.PI * Math.abs(signedArea(o.outer))) / perimeter(o.outer) ** 2
      return { i, area, round, long: Math.max(box.maxX - box.minX, box.maxY - box.minY) }
    })
    .sort((a, b) => b.area - a.area)
  const groups: (typeof features)[] = []
  for (const f of features) {
    const home = groups.find(g => {
      const last = g.at(-1)!
      return f.area > 0.62 * last.area && Math.abs(f.round - last.round) < 0.14
    })
    if (home) home.push(f)
    else groups.push([f])
  }
  const taken = new Map<string, number>()
  return groups.slice(0, 12).map(g => {
    const { round, area } = g[Math.floor(g.length / 2)]!
    const size = area > 120 ? 'large' : area > 20 ? 'medium' : 'small'
    const word = round > 0.93 ? 'dots' : round > 0.62 ? 'shapes' : round > 0.38 ? 'leaves' : 'lines'
    const name = `${size} ${word}`
    const n = (taken.get(name) ?? 0) + 1
    taken.set(name, n)
    return { name: n > 1 ? `${name} ${n}` : name, openings: g.map(f => f.i).sort((a, b) => a - b) }
  })
}
