export * from './drawHead'
export { drawBack } from './back'
export { lightOn } from './lamp'
export type { HeadPicture } from './skinLayers'
