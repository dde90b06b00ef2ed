/** The drawer: every sheet without its shape. */
export default defineEventHandler(() => useHouse().stencils.all())
