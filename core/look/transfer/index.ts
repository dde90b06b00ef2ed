export * from './pointMap'
export * from './transfer'
export * from './mirrored'
