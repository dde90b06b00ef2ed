// The parts of the package by themselves: its whole brings dictionaries of CSS along that nobody needs here.
declare module 'css-tree/parser' {
  export { parse as default } from 'css-tree'
}
declare module 'css-tree/generator' {
  export { generate as default } from 'css-tree'
}
declare module 'css-tree/walker' {
  export { walk as default } from 'css-tree'
}
