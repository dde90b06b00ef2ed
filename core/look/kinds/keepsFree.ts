import type { Ring } from '../../geometry'
import type { Ground } from '../../skin'

/**
 * What a step that is given by zones leaves free by itself, as rings on the skin: nobody takes "whole face"
 * to mean eyeballs, nostrils or a mouth that was not named.
 * @param mouth whether the mouth may be covered
 */
export const keptFreeByZones = (ground: Ground, mouth: boolean): Ring[] =>
  ground.keepOuts
    .filter(({ kind }) =>
      kind === 'eye' ? !ground.eyesClosed : kind === 'nostril' || (kind === 'mouth' && !mouth),
    )
    .map(k => k.ring)
