export { drawHead, HEAD_BOX, type HeadLook } from './drawHead'
export type { HeadPicture } from './easel'
