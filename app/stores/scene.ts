import { defineStore } from 'pinia'
import {
  groundFor,
  hostsIn,
  paintedOpenings,
  placementsOf,
  seatingOf,
  sheetsOf,
  stepsOff,
  type World,
} from '#core/look'
import type { Point } from '#core/geometry'
import { ownTools } from '#core/paint'
import { useDrawer } from './drawer'
import { useKit } from './kit'
import { useSelection } from './selection'
import { useSession } from './session'
import { useSettings } from './settings'

/**
 * What the look on the bench is read against: what it is painted on, the sheets, the kit, and how the
 * selected sheet seats.
 */
export const useScene = defineStore('scene', () => {
  const session = useSession()
  const selection = useSelection()
  const drawer = useDrawer()
  const kit = useKit()
  const settings = useSettings()

  /** What the look is painted on; worked out anew only when canvas or age change. */
  const ground = computed(() => {
    const { canvas, skin } = session.look!
    return groundFor({ canvas, skin }, pageMemo)
  })
  const tools = computed(() => ownTools(kit.readings))
  const stencil = computed(() => {
    const { shapes } = drawer
    return (id: string) => shapes.get(id)
  })
  const world = computed<World>(() => ({
    ground: ground.value,
    oily: session.look?.skin.oily,
    ...hostsIn(session.look?.steps ?? []),
    off: session.look ? stepsOff(session.look) : undefined,
    stencil: stencil.value,
    paint: id => kit.find(id),
    ...tools.value,
    memo: pageMemo,
    flat: true,
    finger: settings.finger,
  }))
  /** Whether every sheet that the look names is there. */
  const loaded = computed(
    () =>
      session.look !== null &&
      sheetsOf(session.look).every(id => drawer.shapes.has(id) || drawer.lost.has(id)),
  )
  /** How the selected sheet and its twin seat on the skin, while that is shown. */
  const seating = computed(() => {
    const step = selection.sheet
    const sheet = step && world.value.stencil(step.stencil)
    if (!settings.lift || !step || !sheet) return []
    const painted = paintedOpenings(step, world.value)
    return placementsOf(step, world.value).map((p, i) => seatingOf(sheet, p, world.value, painted[i]))
  })

  /** The middle of what is painted on: of the forehead, of a part of a face, or of the arm. */
  function middle(): Point {
    const { face, canvas, box } = ground.value
    if (canvas.kind === 'face' && canvas.part !== 'whole')
      return [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]
    return face ? [0, face.landmarks.mid.hairline[1] * 0.52] : [0, 0]
  }
  /** Where something goes when nobody says: the picked spot, else the middle. */
  const nextSpot = (): Point => selection.spot ?? middle()
  return { ground, world, loaded, seating, middle, nextSpot }
})
