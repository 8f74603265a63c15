import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { beforeAll, expect, test } from '@jest/globals'
import { z } from 'zod'

/* What every door lets in: bounds, lengths, words and keys of each contract, as one list. A bound that changes on purpose:
   look at the difference, then `npm run unit -- shared/contracts -u`. */

const FOLDER = join(process.cwd(), 'shared', 'contracts')
const files = readdirSync(FOLDER).filter(name => /^[a-zA-Z]+\.ts$/.test(name))

type Node = Readonly<Record<string, unknown>>
const BOUNDS = [
  'const',
  'enum',
  'minimum',
  'maximum',
  'exclusiveMinimum',
  'exclusiveMaximum',
  'minLength',
  'maxLength',
  'minItems',
  'maxItems',
  'pattern',
  'required',
  'additionalProperties',
] as const
const LEAST_NAMED = 400
const SAFE = [Number.MAX_SAFE_INTEGER, Number.MIN_SAFE_INTEGER]

const schemaOf = (contract: z.ZodType): Node => {
  const { $schema: _, ...schema } = z.toJSONSchema(contract, {
    unrepresentable: 'any',
    io: 'input',
  })
  return schema
}
const contractsIn = async (file: string) =>
  Object.entries((await import(join(FOLDER, file))) as Readonly<Record<string, unknown>>).filter(
    (entry): entry is [string, z.ZodType] => entry[1] instanceof z.ZodType,
  )
/** Contracts that others hold, by their schema: told by name where they are held. */
const named = new Map<string, string>()
beforeAll(async () => {
  for (const file of files)
    for (const [name, contract] of await contractsIn(file)) {
      const text = JSON.stringify(schemaOf(contract))
      if (text.length > LEAST_NAMED) named.set(text, name)
    }
})

/** A schema as lines, one for each place that has a bound: `Name/path  minimum 0, maximum 100`. */
function lines(path: string, node: unknown): string[] {
  if (typeof node !== 'object' || node === null) return []
  const name = path.includes('/') ? named.get(JSON.stringify(node)) : undefined
  if (name) return [`${path}  is ${name}`]
  const bounds = BOUNDS.flatMap(key => {
    const value = (node as Node)[key]
    return value === undefined ||
      (typeof value === 'object') === (key === 'additionalProperties') ||
      SAFE.includes(value as number)
      ? []
      : [`${key} ${String(value)}`]
  })
  return [
    ...(bounds.length > 0 ? [`${path}  ${bounds.join(', ')}`] : []),
    ...Object.entries(node).flatMap(([key, inner]) =>
      typeof inner === 'object' && !['enum', 'required'].includes(key)
        ? lines(/^(properties|anyOf|oneOf|allOf)$/.test(key) ? path : `${path}/${key}`, inner)
        : [],
    ),
  ]
}

test.each(files)('%s', async file => {
  const found = (await contractsIn(file)).flatMap(([name, contract]) =>
    lines(name, schemaOf(contract)),
  )
  expect([...new Set(found)].join('\n')).toMatchSnapshot()
})
