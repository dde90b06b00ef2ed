import { dataFile } from '../../db/open'

/** Puts the demo's stencils, kit and looks into the house, beside what is there. */
export default defineEventHandler(async () => {
  useRepositories()
  // Who leaves the page meanwhile finds them all the same.
  const added = await usePool().run('demoThings', dataFile())
  usePaintAhead().soon()
  return added
})
