export * from './draft'
export * from './edit'
export * from './even'
export * from './repeat'
