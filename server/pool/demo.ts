/** How much of the demo was put into the house. */
export interface DemoAdded {
  readonly stencils: number
  readonly paints: number
  readonly looks: number
}

/**
 * Puts what is missing of the demo into the house; what is there, changed or deleted stays as it is. The demo
 * is a bundle of its own beside the worker's, so that the server stands without it.
 * @param database the data file
 */
export async function demoThings(database: string): Promise<DemoAdded> {
  const beside = new URL('./demo.mjs', import.meta.url).href
  const { seed } = (await import(beside)) as { seed: (file: string) => DemoAdded }
  return seed(database)
}
