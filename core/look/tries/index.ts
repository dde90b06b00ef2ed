export * from './family'
export * from './differences'
export * from './takeOver'
export * from './nine'
