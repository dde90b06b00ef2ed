import { faces } from './draw/faces'
import { motifs } from './draw/motifs'
import { patterns } from './draw/patterns'
import { textures } from './draw/textures'
import type { Drawing } from './draw/sheet'

/** Every stencil of the demo drawer, in the order in which it is shown. */
export const collection = (): Drawing[] => [...textures(), ...patterns(), ...motifs(), ...faces()]
