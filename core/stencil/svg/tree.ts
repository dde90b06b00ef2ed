import { SaxesParser } from 'saxes'

/** An SVG element: its local name, attributes and children; text is dropped. */
export interface Element {
  name: string
  attrs: Record<string, string>
  children: Element[]
}

/** The largest file that is read, bytes. */
const MAX_BYTES = 8 * 1024 * 1024

const local = (name: string) => name.slice(name.indexOf(':') + 1)

/**
 * Reads SVG text into a tree of elements. Nothing is fetched, run or expanded: scripts, styles and foreign
 * content are left out, and entities declared in a document type are not resolved.
 * @throws RangeError with a sentence when the text is not SVG.
 */
export function parseTree(text: string): Element {
  if (text.length > MAX_BYTES)
    throw new RangeError(
      `The file is ${(text.length / 1048576).toFixed(0)} MB; sheets of up to ${MAX_BYTES / 1048576} MB are read.`,
    )
  const parser = new SaxesParser({ fragment: false, position: false })
  let root: Element | null = null,
    failure: Error | null = null
  const stack: Element[] = []
  parser.on('error', error => {
    failure ??= error
  })
  parser.on('opentag', tag => {
    const element: Element = { name: local(tag.name), attrs: {}, children: [] }
    for (const [key, value] of Object.entries(tag.attributes)) element.attrs[local(key)] = String(value)
    const parent = stack.at(-1)
    if (parent) parent.children.push(element)
    else root ??= element
    stack.push(element)
  })
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
