export * from './colour'
export * from './tools'
