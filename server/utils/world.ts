import { sheetFromJson } from '#core/formats'
import { groundFor, withSteps, type Look, type World } from '#core/look'
import { Memo } from '#core/memo'
import { ownTools } from '#core/paint'
import { prepared, type PreparedSheet } from '#core/stencil'

/**
 * What looks are read against, from the drawer and the kit: the world of each look. Sheets are read once a
 * call.
 */
export function worldsNow(): (look: Look) => World {
  const { stencils, paints, readings } = useRepositories()
  const known = new Map(paints.all().map(p => [p.id, p]))
  const own = readings.all()
  const memo = new Memo()
  const read = new Map<string, PreparedSheet | undefined>()
  const stencil = (id: string): PreparedSheet | undefined => {
    if (!read.has(id)) {
      const about = stencils.find(id)
      const json = stencils.geometry(id)
      read.set(
        id,
        about && json
          ? prepared({ ...about, axes: about.analysis?.axes, ...sheetFromJson(JSON.parse(json)) })
          : undefined,
      )
    }
    return read.get(id)
  }
  return look =>
    withSteps(
      { ground: groundFor(look, memo), paint: id => known.get(id), ...ownTools(own), stencil, memo },
      look.steps,
    )
}
