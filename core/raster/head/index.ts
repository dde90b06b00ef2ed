export * from './drawHead'
export type { HeadPicture } from './easel'
