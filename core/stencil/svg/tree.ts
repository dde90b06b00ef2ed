import { SaxesParser } from 'saxes'
import { LIMITS } from '../assemble'

/** An SVG element: its local name, attributes and children. */
export interface Element {
  name: string
  attrs: Record<string, string>
  children: Element[]
  parent: Element | null
  /** The text within it, of style elements only. */
  text: string
}

/** The largest file that is read, bytes. */
const MAX_BYTES = 8 * 1024 * 1024

/** How deep elements may stand in one another. */
const MOST_DEEP = 200
/** Letters of the longest value that is read, other than of a path or of points. */
const MOST_LETTERS = 4000
const LONG = new Set(['d', 'points'])
/** Letters of a style sheet that are read. */
const MOST_STYLE = 200_000
/** Values that decide what is cut: none of them may be passed over. */
const READ = new Set(
  'transform style class width height viewBox x y x1 y1 x2 y2 cx cy r rx ry fill stroke id'.split(' '),
)

const local = (name: string) => name.slice(name.indexOf(':') + 1)

/**
 * Reads SVG text into a tree of elements. Nothing is fetched, run or expanded: scripts and foreign
 * content are left out, and entities declared in a document type are not resolved.
 * @throws RangeError with a sentence when the text is not SVG.
 */
export function parseTree(text: string): Element {
  if (text.length > MAX_BYTES)
    throw new RangeError(
      `The file is ${(text.length / 1048576).toFixed(0)} MB; stencils of up to ${MAX_BYTES / 1048576} MB are read.`,
    )
  const parser = new SaxesParser({ fragment: false, position: false })
  let root: Element | null = null,
    failure: Error | null = null
  const stack: Element[] = []
  parser.on('error', error => {
    failure ??= error
  })
  let elements = 0
  parser.on('opentag', tag => {
    // Said before the rest is read: a file of a million open groups would be read for a minute.
    if (stack.length > MOST_DEEP)
      throw new RangeError(`The SVG is nested more than ${MOST_DEEP} deep; ungroup it and try again.`)
    if (++elements > LIMITS.elements)
      throw new RangeError('The file has more elements than a stencil can need; simplify it, and try again.')
    const parent = stack.at(-1) ?? null
    const element: Element = { name: local(tag.name), attrs: {}, children: [], parent, text: '' }
    for (const [key, value] of Object.entries(tag.attributes)) {
      const name = local(key)
      const text = String(value)
      // What programs note of their own may be long; nothing of it is read.
      if (text.length <= MOST_LETTERS || LONG.has(name)) element.attrs[name] = text
      else if (READ.has(name))
        throw new RangeError(
          `The value of "${name}" is ${text.length.toLocaleString('en')} letters long, and was not read.`,
        )
    }
    if (parent) parent.children.push(element)
    else root ??= element
    stack.push(element)
  })
  const keepText = (text: string) => {
    const top = stack.at(-1)
    if (top?.name === 'style' && top.text.length < MOST_STYLE) top.text += text
  }
  parser.on('text', keepText)
  parser.on('cdata', keepText)
  parser.on('closetag', () => {
    stack.pop()
  })
  // A reference to a declared entity is an error to the parser; the attribute keeps its raw text, which no
  // shape will accept.
  parser.write(text).close()
  const top = root as Element | null
  if (!top || top.name !== 'svg')
    throw new RangeError('This is not an SVG file: it does not begin with an <svg> element.')
  const wrong = failure as Error | null
  if (wrong && !/entity/i.test(wrong.message))
    throw new RangeError(`The SVG is damaged (${wrong.message.replace(/^\d+:\d+: /, '')}).`)
  return top
}
