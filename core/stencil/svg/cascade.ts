// The package's types leave its parts out.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./cssTree.d.ts" />
import generate from 'css-tree/generator'
import parse from 'css-tree/parser'
import walk from 'css-tree/walker'
import { compile } from 'css-select'
import type { Element } from './tree'

/** What an element says of one property, and whether it insists. */
interface Declared {
  readonly value: string
  readonly important: boolean
}

/** One rule of a style sheet: for which elements, and what. */
interface Rule {
  readonly means: (element: Element) => boolean
  /** Ids, classes and kinds named in the selector (CSS Selectors 3, section 9). */
  readonly weight: number
  readonly declared: ReadonlyMap<string, Declared>
}

/** Rules and elements that are matched in one file at most. */
const MOST_MATCHES = 1_500_000
/** Longer selectors, and such of more parts, are no drawing program's: matching them could take for ever. */
const MOST_LETTERS = 200
const MOST_PARTS = 4
/** Kinds, classes, ids, attributes and how they stand to one another; nothing that asks what lies within. */
const PLAIN = /^[\w\s.#>+~*\-[\]="'^$|]+$/

/** How the selector library walks our tree. */
const adapter = {
  isTag: (node: Element): node is Element => Boolean(node),
  getName: (e: Element) => e.name,
  getAttributeValue: (e: Element, name: string) => e.attrs[name],
  hasAttrib: (e: Element, name: string) => name in e.attrs,
  getChildren: (e: Element) => e.children,
  getParent: (e: Element) => e.parent,
  getSiblings: (e: Element) => e.parent?.children ?? [e],
  getText: () => '',
  existsOne: (test: (e: Element) => boolean, list: Element[]): boolean =>
    list.some(e => test(e) || adapter.existsOne(test, e.children)),
  findAll: (test: (e: Element) => boolean, list: Element[]): Element[] =>
    list.flatMap(e => [...(test(e) ? [e] : []), ...adapter.findAll(test, e.children)]),
  findOne: (test: (e: Element) => boolean, list: Element[]): Element | null =>
    adapter.findAll(test, list)[0] ?? null,
  removeSubsets: (list: Element[]) => list,
}

const count = (text: string, pattern: RegExp): number => (text.match(pattern) ?? []).length
const weightOf = (selector: string): number =>
  1e6 * count(selector, /#[\w-]+/g) +
  1e3 * count(selector, /\.[\w-]+|\[[^\]]*\]|(?<!:):(?!:)[\w-]+/g) +
  count(selector, /(^|[\s>+~])[a-zA-Z][\w-]*/g)

/** The declarations of a block of CSS, as text in small letters. */
function declarationsOf(block: string): Map<string, Declared> {
  const found = new Map<string, Declared>()
  walk(parse(block, { context: 'declarationList', parseValue: false }), node => {
    if (node.type !== 'Declaration') return
    const name = node.property.toLowerCase()
    const next = { value: generate(node.value).trim(), important: Boolean(node.important) }
    if (!found.get(name)?.important || next.important) found.set(name, next)
  })
  return found
}

/** The style sheets of a file, in their order; rules for print or for other media are left out. */
export class Cascade {
  private readonly rules: Rule[] = []
  private matches = 0

  /**
   * @param sheets text of the style elements
   * @param notes takes what is left out
   */
  constructor(sheets: readonly string[], notes: Set<string>) {
    const { rules } = this
    for (const sheet of sheets) {
      const tree = parse(sheet, { parseValue: false })
      walk(tree, {
        visit: 'Rule',
        enter: function enter(node) {
          if (this.atrule && !/^screen|^all/i.test(this.atrule.prelude ? generate(this.atrule.prelude) : ''))
            return
          const declared = new Map<string, Declared>()
          node.block.children.forEach(d => {
            if (d.type === 'Declaration')
              declared.set(d.property.toLowerCase(), {
                value: generate(d.value).trim(),
                important: Boolean(d.important),
              })
          })
          if (declared.size === 0) return
          for (const selector of generate(node.prelude).split(',')) {
            const means = meaningOf(selector.trim())
            if (means) rules.push({ means, weight: weightOf(selector), declared })
            else notes.add('A rule of the style sheet was left out: its selector is not read.')
          }
        },
      })
    }
    rules.sort((a, b) => a.weight - b.weight)
  }

  /**
   * What is declared for an element, the strongest last word of each property: attributes, then style sheets by
   * weight, then its own style; what insists goes before what does not (CSS Cascade 3, section 6).
   */
  of(element: Element): ReadonlyMap<string, string> {
    const found = new Map<string, Declared>()
    const say = (name: string, next: Declared): void => {
      if (!found.get(name)?.important || next.important) found.set(name, next)
    }
    for (const [name, value] of Object.entries(element.attrs)) say(name, { value, important: false })
    for (const { means, declared } of this.rules) {
      if (++this.matches > MOST_MATCHES)
        throw new RangeError('The style sheet of this file has too many rules; simplify it, and try again.')
      if (means(element)) declared.forEach((next, name) => say(name, next))
    }
    if (element.attrs.style) declarationsOf(element.attrs.style).forEach((next, name) => say(name, next))
    return new Map([...found].map(([name, { value }]) => [name, value]))
  }
}

/** What a selector means; null for one that is not read. */
function meaningOf(selector: string): ((element: Element) => boolean) | null {
  const parts = selector.split(/[\s>+~]+/).length
  if (selector.length > MOST_LETTERS || parts > MOST_PARTS || !PLAIN.test(selector)) return null
  try {
    return compile<Element, Element>(selector, { adapter, xmlMode: true })
  } catch {
    return null
  }
}
