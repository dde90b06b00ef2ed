/** What the painter's newest looks have by habit, one look left out. */
export default defineEventHandler(event => {
  const { looks } = useRepositories()
  const but = String(getQuery(event).but ?? '')
  const docs = looks.newestDocs(MOST_LOOKS, but)
  return jobFor(event, 'habits', docs)
})

/** Habits are read off so many looks at most. */
const MOST_LOOKS = 30
