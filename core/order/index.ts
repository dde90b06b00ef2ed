export * from './hands'
