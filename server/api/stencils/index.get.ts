/** The drawer: every sheet without its shape. */
export default defineEventHandler(() => useRepositories().stencils.all())
