export * from './alternative'
export * from './recolour'
export * from './generate'
export * from './choose'
