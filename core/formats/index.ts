export * from './sheetJson'
export * from './svgOut'
