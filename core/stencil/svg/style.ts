import type { Rule } from '../../geometry'
import type { Element } from './tree'

/** What of an element's look decides whether it is cut. */
export interface Style {
  fill: boolean
  stroke: boolean
  rule: Rule
  hidden: boolean
}

export const ROOT_STYLE: Style = { fill: true, stroke: false, rule: 'nonzero', hidden: false }

const declared = (element: Element, name: string): string | undefined => {
  const inline = element.attrs.style
    ?.split(';')
    .map(d => d.split(':'))
    .find(([key]) => key?.trim() === name)
  return (inline?.[1] ?? element.attrs[name])?.trim().toLowerCase()
}

/**
 * The style of an element inside a parent's; presentation attributes and the style attribute are read, style
 * sheets are not.
 */
export function styleOf(element: Element, parent: Style): Style {
  const fill = declared(element, 'fill')
  const stroke = declared(element, 'stroke')
  const rule = declared(element, 'fill-rule')
  return {
    fill: fill === undefined || fill === 'inherit' ? parent.fill : fill !== 'none',
    stroke: stroke === undefined || stroke === 'inherit' ? parent.stroke : stroke !== 'none',
    rule: rule === 'evenodd' ? 'evenodd' : rule === 'nonzero' ? 'nonzero' : parent.rule,
    hidden:
      parent.hidden ||
      declared(element, 'display') === 'none' ||
      declared(element, 'visibility') === 'hidden',
  }
}
