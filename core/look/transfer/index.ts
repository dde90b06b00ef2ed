export * from './pointMap'
export * from './transfer'
