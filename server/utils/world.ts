import { sheetFromJson } from '#core/formats'
import type { World } from '#core/look'
import { ADULT_FACE } from '#core/skin'
import type { Stencil } from '#core/stencil'

/** What a look is read against, from the drawer and the kit. Sheets are read once a call. */
export function worldNow(): World {
  const { stencils, paints } = useHouse(), read = new Map<string, Stencil | undefined>()
  const colours = new Map(paints.all().map(p => [p.id, p.colour]))
  return {
    face: ADULT_FACE,
    paintColour: id => colours.get(id),
    stencil(id) {
      if (!read.has(id)) {
        const about = stencils.find(id), json = stencils.geometry(id)
        read.set(id, about && json ? { ...about, ...sheetFromJson(JSON.parse(json)) } : undefined)
      }
      return read.get(id)
    },
  }
}
