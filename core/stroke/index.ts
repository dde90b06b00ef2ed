export * from './spine'
export * from './curves'
export * from './shapes'
export * from './dots'
