import type { z } from 'zod'

const KINDS: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'a group of fields',
  record: 'a group of fields',
  null: 'empty',
}

/** Messages that a schema gives when it was told no better. */
const PLAIN = /^(Invalid|Too |Unrecognized|Expected)/

/** What is wrong with a value, as the end of a sentence that begins with its name. */
export function issueWords(issue: z.core.$ZodIssue): string {
  if (!PLAIN.test(issue.message)) return issue.message
  if (/received undefined$/.test(issue.message)) return 'is missing'
  switch (issue.code) {
    case 'invalid_type':
      return `must be ${KINDS[issue.expected] ?? issue.expected}`
    case 'invalid_value':
      return `must be ${issue.values.length > 1 ? 'one of ' : ''}${issue.values.map(v => JSON.stringify(v)).join(', ')}`
    case 'too_small':
      return `must be at least ${issue.minimum}${LENGTHS[issue.origin] ?? ''}`
    case 'too_big':
      return `must be at most ${issue.maximum}${LENGTHS[issue.origin] ?? ''}`
    case 'unrecognized_keys':
      return `has an unknown field ${issue.keys.map(k => `"${k.slice(0, 40)}"`).join(', ')}`
    default:
      return 'is not as it should be'
  }
}
const LENGTHS: Readonly<Record<string, string>> = { string: ' letters long', array: ' entries long' }
