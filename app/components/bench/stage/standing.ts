import type { Box } from '#core/geometry'
import type { Update } from '~/workers/stagePicture'

/** The picture as it stands on the stage: a canvas, and the part of the picture's plane that it shows, mm. */
export interface StandingPicture {
  readonly canvas: HTMLCanvasElement | HTMLImageElement
  readonly box: Readonly<Box>
}

/** Puts the changed part of a picture on its canvas; a fresh picture gets a canvas of its own. */
export function patched(
  canvas: StandingPicture['canvas'] | null,
  { fresh, width, height, patch }: Update,
): HTMLCanvasElement {
  let on = canvas
  if (fresh || !(on instanceof HTMLCanvasElement)) {
    on = document.createElement('canvas')
    on.width = width
    on.height = height
  }
  if (patch)
    on.getContext('2d')!.putImageData(
      new ImageData(patch.rgba, patch.width, patch.height),
      patch.i0,
      patch.j0,
    )
  return on
}
