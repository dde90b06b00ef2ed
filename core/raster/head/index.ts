export * from './drawHead'
export type { HeadPicture } from './skinLayers'
