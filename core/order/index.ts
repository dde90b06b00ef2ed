export * from './hands'
export * from './drying'
