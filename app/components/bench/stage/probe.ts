import type Konva from 'konva'
import type { Ref } from 'vue'
import type { Point } from '#core/geometry'
import type { NearPicture } from './middle'
import type { StandingPicture } from './standing'
import { toScreen, type View } from './view'

/** What the stage shows, as far as tests read it off. */
interface Probed {
  readonly stage: Konva.Stage | null
  readonly view: Readonly<Ref<View>>
  readonly picture: Readonly<Ref<StandingPicture | null>>
  readonly parts: Readonly<Ref<readonly NearPicture[]>>
  readonly fineness: Readonly<Ref<number>>
  readonly handles: () => unknown
}

/** Lets tests read off the stage what it shows; only where they ask for it in the address. */
export function offerProbe({ stage, view, picture, parts, fineness, handles }: Probed): void {
  if (!import.meta.dev && !window.location.search.includes('probe')) return
  const measured = ({ canvas: { width }, box }: StandingPicture) => ({ width, wide: box.maxX - box.minX })
  Object.assign(window, {
    faceStage: {
      stage,
      view: () => view.value,
      handles,
      screen: (p: Point) => toScreen(view.value, p),
      picture: () => ({
        ...measured(picture.value!),
        fine: fineness.value,
        parts: parts.value.map(part => ({ ...measured(part), fine: part.of.fineness, seen: part.of.seen })),
      }),
    },
  })
}
