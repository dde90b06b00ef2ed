export * from './sheetJson'
export * from './svgOut'
export * from './dxfOut'
export * from './palette'
