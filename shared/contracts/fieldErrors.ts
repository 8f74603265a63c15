import type { z } from 'zod'
import type { FieldError } from './problem'

type Issue = z.core.$ZodIssue

/** JSON Pointer (RFC 6901) to a field. */
export function jsonPointer(path: readonly PropertyKey[]): string {
  return path.map(part => `/${String(part).replaceAll('~', '~0').replaceAll('/', '~1')}`).join('')
}

function fieldName(path: readonly PropertyKey[]): string {
  const name = path
    .map(part => (typeof part === 'number' ? `[${part + 1}]` : `.${String(part)}`))
    .join('')
    .replace(/^\./, '')
  return name || 'the request'
}

function amountWords(issue: { readonly origin: string }, bound: number | bigint): string {
  if (issue.origin === 'array') return `${bound} ${bound === 1 ? 'entry' : 'entries'}`
  return issue.origin === 'string'
    ? `${bound} ${bound === 1 ? 'character' : 'characters'}`
    : String(bound)
}

function remedy(issue: Issue): string {
  switch (issue.code) {
    case 'too_small':
      if (issue.origin === 'string' && issue.minimum === 1) return 'is empty; fill it in'
      return `must be at least ${amountWords(issue, issue.minimum)}`
    case 'too_big':
      return `may be at most ${amountWords(issue, issue.maximum)}`
    case 'invalid_type':
      return issue.expected === 'int'
        ? 'must be a whole number'
        : `must be of type ${issue.expected}`
    case 'invalid_value':
      return `must be ${issue.values.map(value => JSON.stringify(value)).join(' or ')}`
    case 'invalid_format':
      return issue.format === 'email'
        ? 'must be an email address'
        : `must have the format ${issue.format}`
    case 'unrecognized_keys':
      return `does not know ${issue.keys.map(key => JSON.stringify(key)).join(', ')}; leave it out`
    case 'invalid_union':
      return 'must be one of the documented kinds'
    default:
      return issue.message
  }
}

/** Every refused field with its pointer and a sentence that names the field and the remedy. */
export function fieldErrors(issues: readonly Issue[]): readonly FieldError[] {
  return issues.map(issue => ({
    pointer: jsonPointer(issue.path),
    kind: issue.code ?? 'custom',
    detail: `${fieldName(issue.path)} ${remedy(issue)}.`,
  }))
}
