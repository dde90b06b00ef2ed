import { lookSeconds, sheetsOf } from '#core/look'

/** The gallery: what a card shows of each look. */
export default defineEventHandler(() => {
  const world = worldNow()
  return useHouse().looks.all().map(({ look, version, savedAt }) => ({
    id: look.id, name: look.name, tags: look.tags, version, savedAt, age: look.skin.age, seconds: lookSeconds(look, world), sheets: sheetsOf(look).length, uses: sheetsOf(look), steps: look.steps.length,
  }))
})
