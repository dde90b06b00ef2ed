export * from './record'
export * from './progress'
export * from './screens'
export * from './written'
