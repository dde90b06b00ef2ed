export * from './drawHead'
export { drawBack } from './back'
export type { HeadPicture } from './skinLayers'
