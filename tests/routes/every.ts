import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import type { Routes } from './ask'

const API = 'server/api'

/** A route of the server, by the file that answers it. */
interface Route {
  readonly method: string
  /** Its address, with `[name]` for what varies. */
  readonly path: string
}

/** Every route under some folders of server/api; a file that lies in none is one of "room". */
function routesUnder(groups: readonly string[]): Route[] {
  const files = readdirSync(API, { recursive: true, encoding: 'utf8' })
  return files.flatMap(file => {
    const [, path, method] = /^(.*)\.(get|post|put|patch|delete)\.ts$/.exec(file) ?? []
    if (!path || !groups.includes(path.split('/')[0]!)) return []
    return [{ method: method!.toUpperCase(), path: `/${join('api', path).replace(/(^|\/)index$/, '')}` }]
  })
}

/** The folders of server/api, and files that lie beside them. */
export const groups = (): string[] =>
  readdirSync(API)
    .map(name => name.split('.')[0]!)
    .sort()

const matches = ({ method, path }: Route, asked: { method: string; path: string }): boolean =>
  method === asked.method &&
  new RegExp(`^${path.replaceAll('.', '\\.').replace(/\[\w+\]/g, '[^/]+')}$`).test(asked.path)

/**
 * What was not tried of some routes: each must have answered with what was asked for, and each that can refuse has
 * refused.
 * @param never routes that have nothing to refuse, as "METHOD /path"
 */
export function untried(site: Routes, groupsOfFile: readonly string[], never: readonly string[]): string[] {
  return routesUnder(groupsOfFile).flatMap(route => {
    const name = `${route.method} ${route.path}`
    // The more exact address answers: /looks/deleted is no look.
    const exact = routesUnder(groupsOfFile).filter(r => !r.path.includes('['))
    const mine = site.asked.filter(
      asked => matches(route, asked) && (!route.path.includes('[') || !exact.some(r => matches(r, asked))),
    )
    const good = mine.some(({ status }) => status < 300)
    const bad = mine.some(({ status }) => status >= 400 && status < 500)
    return [
      ...(good ? [] : [`${name}: asked well`]),
      ...(bad || never.includes(name) ? [] : [`${name}: asked badly`]),
    ]
  })
}
