// How long tests took, from the reports of their runners.
import { existsSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'
import { root } from './ready.mjs'

/** Seconds that a test may take without a stated reason. Two pages share two cores: in the browser that is more. */
const MOST_S = { vitest: 15, browser: 45 }
/** A run fails only for one that takes so many times as long: a slow day must not fail what passes on another. */
const SLACK = 2

const read = file => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null)

const ofVitest = report =>
  (report?.testResults ?? []).flatMap(({ name, assertionResults }) =>
    assertionResults.map(({ fullName, duration }) => ({
      kind: 'vitest',
      file: relative(root, name),
      test: fullName,
      seconds: (duration ?? 0) / 1000,
    })),
  )

const ofSuite = (suite, file) => [
  ...(suite.specs ?? []).map(({ title, tests }) => ({
    kind: 'browser',
    file,
    test: title,
    seconds: tests.flatMap(t => t.results).reduce((sum, r) => sum + r.duration, 0) / 1000,
  })),
  ...(suite.suites ?? []).flatMap(inner => ofSuite(inner, file)),
]
const ofBrowser = report =>
  (report?.suites ?? []).flatMap(suite => ofSuite(suite, join('tests/e2e', suite.file)))

/**
 * The tests of a run with the seconds that each took, the longest first, and the sums of their files.
 * @param {{ vitest: string, browser: string }} reports where the reports lie
 */
export function durationsOf({ vitest, browser }) {
  const tests = [...ofVitest(read(vitest)), ...ofBrowser(read(browser))].sort((a, b) => b.seconds - a.seconds)
  const files = {}
  for (const { file, seconds } of tests) files[file] = (files[file] ?? 0) + seconds
  return { tests, files: Object.fromEntries(Object.entries(files).sort(([, a], [, b]) => b - a)) }
}

/** The slowest tests as lines. */
export const slowest = ({ tests }, count) =>
  tests
    .slice(0, count)
    .map(({ file, test, seconds }) => `${seconds.toFixed(1).padStart(7)}  ${file}  ${test.slice(0, 90)}`)
    .join('\n')

/**
 * The tests that took too long without a reason in scripts/slow.json, which gives one by the test's name.
 * @returns those that are told, and those among them for which the run fails, as lines
 */
export function tooLong({ tests }) {
  const reasons = JSON.parse(readFileSync(join(root, 'scripts/slow.json'), 'utf8'))
  const past = slack =>
    tests
      .filter(({ kind, test, seconds }) => seconds > slack * MOST_S[kind] && !Object.hasOwn(reasons, test))
      .map(({ file, test, seconds }) => `${seconds.toFixed(1)} s  ${file}  ${test}`)
  return { told: past(1), failing: past(SLACK) }
}
