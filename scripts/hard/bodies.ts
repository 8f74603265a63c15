// Bodies as a contract would have them, and bodies with one thing in them that is wrong.
import fc from 'fast-check'
import { z } from 'zod'

interface Node {
  readonly $ref?: string
  readonly $defs?: Readonly<Record<string, Node>>
  readonly type?: string | readonly string[]
  readonly const?: unknown
  readonly enum?: readonly unknown[]
  readonly anyOf?: readonly Node[]
  readonly oneOf?: readonly Node[]
  readonly allOf?: readonly Node[]
  readonly properties?: Readonly<Record<string, Node>>
  readonly required?: readonly string[]
  readonly additionalProperties?: Node | boolean
  readonly propertyNames?: Node
  readonly items?: Node
  readonly prefixItems?: readonly Node[]
  readonly minItems?: number
  readonly maxItems?: number
  readonly minLength?: number
  readonly maxLength?: number
  readonly minimum?: number
  readonly maximum?: number
  readonly pattern?: string
  readonly format?: string
}

const MOST_ITEMS = 4
const MOST_LETTERS = 60
const DEEPEST = 6
/** What doors have been broken with: ends of ranges, what columns cannot hold, dates that are none, what a browser never sends. */
const INTRUDERS: readonly unknown[] = [
  null,
  true,
  '',
  ' ',
  '\u0000',
  '\ud800',
  'a\u0000b',
  '\u202eabc',
  '0000-01-01',
  '9999-12-31',
  '-000001-01-01',
  '2026-02-30',
  '2026-04-02T25:61:61Z',
  'infinity',
  '1e999',
  -1,
  0.1 + 0.2,
  2 ** 31,
  2 ** 53 + 2,
  1e308,
  -1e308,
  5e-324,
  [],
  [[]],
  {},
  { constructor: null },
  'x'.repeat(70_000),
  '00000000-0000-0000-0000-000000000000',
  'toString',
  '__proto__',
]

const DAY = fc.constantFrom('2026-01-31', '2026-11-30', '2027-02-28', '2028-02-29', '2026-12-31')
const TEXT_FORMATS: Readonly<Record<string, fc.Arbitrary<string>>> = {
  uuid: fc.uuid(),
  date: DAY,
  'date-time': DAY.map(day => `${day}T17:30:00.000Z`),
  email: fc.nat().map(number => `somebody-${number}@skerrylane.example`),
}

function texts({ format, pattern, minLength = 0, maxLength = MOST_LETTERS }: Node) {
  const known = format === undefined ? undefined : TEXT_FORMATS[format]
  if (known) return known
  // A day is told by its pattern alone in some contracts.
  if (pattern?.includes('\\d{4}-\\d{2}-\\d{2}')) return DAY
  if (pattern) return fc.stringMatching(new RegExp(pattern))
  return fc.string({
    minLength,
    maxLength: Math.max(minLength, Math.min(maxLength, MOST_LETTERS)),
    unit: 'grapheme',
  })
}

function numbers({ type, minimum = -1000, maximum = 1000 }: Node) {
  const [low, high] = [Math.max(minimum, -1e6), Math.min(maximum, 1e6)]
  return type === 'integer'
    ? fc.integer({ min: Math.ceil(low), max: Math.floor(high) })
    : fc.double({ min: low, max: high, noNaN: true }).map(value => Math.round(value * 4) / 4)
}

/** Values as a JSON schema has them; what a schema cannot say (two fields that have to agree) is left to chance. */
function valuesOf(
  node: Node,
  defs: Readonly<Record<string, Node>>,
  depth = 0,
): fc.Arbitrary<unknown> {
  const inner = (of: Node) => valuesOf(of, defs, depth + 1)
  if (node.$ref) return inner(defs[node.$ref.replace('#/$defs/', '')] ?? {})
  if (node.const !== undefined) return fc.constant(node.const)
  if (node.enum) return fc.constantFrom(...node.enum)
  const choices = node.anyOf ?? node.oneOf
  if (choices) {
    const plain = choices.filter(choice => depth < DEEPEST || !(choice.properties ?? choice.items))
    return fc.oneof(...(plain.length > 0 ? plain : choices).map(inner))
  }
  if (node.allOf) return inner(Object.assign({}, ...node.allOf) as Node)
  switch (node.type) {
    case 'string':
      return texts(node)
    case 'integer':
    case 'number':
      return numbers(node)
    case 'boolean':
      return fc.boolean()
    case 'null':
      return fc.constant(null)
    case 'array':
      return lists(node, inner)
    case 'object':
      return objects(node, inner)
    default:
      return fc.jsonValue({ maxDepth: 2 })
  }
}

function lists(
  { prefixItems, items = {}, minItems = 0, maxItems = MOST_ITEMS }: Node,
  inner: (of: Node) => fc.Arbitrary<unknown>,
) {
  if (prefixItems) return fc.tuple(...prefixItems.map(inner))
  const most = Math.max(minItems, Math.min(maxItems, MOST_ITEMS))
  return fc.array(inner(items), { minLength: minItems, maxLength: most })
}

function objects(
  { properties, required = [], additionalProperties, propertyNames }: Node,
  inner: (of: Node) => fc.Arbitrary<unknown>,
): fc.Arbitrary<unknown> {
  if (properties)
    return fc.record(
      Object.fromEntries(Object.entries(properties).map(([name, of]) => [name, inner(of)])),
      { requiredKeys: [...required] },
    )
  const values =
    typeof additionalProperties === 'object'
      ? inner(additionalProperties)
      : fc.jsonValue({ maxDepth: 1 })
  const names = propertyNames ? inner(propertyNames).map(String) : fc.string({ maxLength: 12 })
  return fc.dictionary(names, values, { maxKeys: MOST_ITEMS })
}

/** Bodies a contract lets in, as far as a schema can tell. */
export function bodiesOf(contract: z.ZodType): fc.Arbitrary<unknown> {
  const schema = z.toJSONSchema(contract, { unrepresentable: 'any', io: 'input' }) as Node
  return valuesOf(schema, schema.$defs ?? {})
}

type Path = readonly (string | number)[]

/** Every place in a value, itself among them. */
function placesIn(value: unknown, at: Path = []): readonly Path[] {
  if (typeof value !== 'object' || value === null) return [at]
  const inside = Object.entries(value).flatMap(([key, one]) =>
    placesIn(one, [...at, Array.isArray(value) ? Number(key) : key]),
  )
  return [at, ...inside]
}

function replaced(value: unknown, [key, ...rest]: Path, by: unknown): unknown {
  if (key === undefined) return by
  if (Array.isArray(value))
    return value.map((one, at) => (at === key ? replaced(one, rest, by) : one))
  const object = value as Readonly<Record<string, unknown>>
  return { ...object, [key]: replaced(object[key], rest, by) }
}

/** The same body with one thing in it that does not belong there. */
export const spoilt = (body: unknown): fc.Arbitrary<unknown> =>
  fc.tuple(fc.nat(), fc.constantFrom(...INTRUDERS)).map(([where, by]) => {
    const places = placesIn(body)
    return replaced(body, places[where % places.length] ?? [], by)
  })

const at = (value: unknown, path: Path): unknown =>
  path.reduce<unknown>((inside, key) => (inside as Readonly<Record<string, unknown>>)[key], value)

/** What a value could as well have been: a neighbour, another of its kind in the same body, one more or fewer. */
function neighbour(value: unknown, others: readonly unknown[], choice: number): unknown {
  const pick = <Item>(items: readonly Item[]) => items[choice % items.length]
  if (typeof value === 'number') return pick([value + 1, value - 1, 0, value * 2, value / 2])
  if (typeof value === 'boolean') return !value
  if (typeof value === 'string') return pick(others.filter(other => typeof other === 'string'))
  if (Array.isArray(value) && value.length > 0) {
    const place = choice % value.length
    return pick([value.toSpliced(place, 1), [...value, value[place]], value.toReversed()])
  }
  return pick(others)
}

/** The same body with some things in it that could have been so. */
export const shifted = (body: unknown): fc.Arbitrary<unknown> =>
  fc.array(fc.tuple(fc.nat(), fc.nat()), { minLength: 1, maxLength: 3 }).map(changes =>
    changes.reduce<unknown>((changed, [where, choice]) => {
      const places = placesIn(changed)
      const place = places[where % places.length] ?? []
      const others = places.map(other => at(changed, other))
      return replaced(changed, place, neighbour(at(changed, place), others, choice))
    }, body),
  )
