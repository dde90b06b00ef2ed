export * from './types'
export * from './readSvg'
