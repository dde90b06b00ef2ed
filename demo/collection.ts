import { beasts } from './draw/beasts'
import { craftSheets } from './draw/craft'
import { faces } from './draw/faces'
import { fadingSheets } from './draw/fading'
import { motifs } from './draw/motifs'
import { patterns } from './draw/patterns'
import { textures } from './draw/textures'
import type { Drawing } from './draw/sheet'

/** Every stencil of the demo drawer, in the order in which it is shown. */
export const collection = (): Drawing[] => [
  ...textures(),
  ...patterns(),
  ...motifs(),
  ...faces(),
  ...fadingSheets(),
  ...craftSheets(),
  ...beasts(),
]
