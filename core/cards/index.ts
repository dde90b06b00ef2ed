export * from './pen'
export * from './stepCard'
export * from './template'
export * from './placing'
