import { Memo } from '#core/memo'

/** What the page keeps of results that are asked for again and again: grounds, strokes, gaps. */
export const pageMemo = new Memo()
