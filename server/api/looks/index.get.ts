import { lookSeconds, sheetsOf } from '#core/look'
import { canvasWords } from '#core/skin'

/** The gallery: what a card shows of each look. */
export default defineEventHandler(() => {
  const world = worldsNow()
  const kit = kitStamp()
  return useRepositories()
    .looks.all()
    .map(({ look, version, savedAt }) => ({
      id: look.id,
      name: look.name,
      tags: look.tags,
      version,
      savedAt,
      age: look.skin.age,
      canvas: canvasWords(look.canvas),
      seconds: remembered(`seconds ${look.id} ${version} ${kit}`, () => lookSeconds(look, world(look))),
      sheets: sheetsOf(look).length,
      uses: sheetsOf(look),
      steps: look.steps.length,
    }))
})
