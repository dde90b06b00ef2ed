import { motifs } from './draw/motifs'
import { textures } from './draw/textures'
import type { Drawing } from './draw/sheet'

/** Every stencil of the demo drawer, in the order in which it is shown. */
export const collection = (): Drawing[] => [...textures(), ...motifs()]
