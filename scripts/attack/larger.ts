/** Makes inputs as large as anybody may send them: what is a list is filled up, what is a text is drawn out, what is a figure goes to its end. */
type Schema = {
  type?: string | string[]
  properties?: Record<string, Schema>
  items?: Schema | Schema[]
  anyOf?: Schema[]
  oneOf?: Schema[]
  maxItems?: number
  maxLength?: number
  maximum?: number
  minimum?: number
  enum?: unknown[]
}

export interface Room {
  /** At most so many bytes of JSON. */
  bytes: number
  random: () => number
}

const list = (value: unknown): value is unknown[] => Array.isArray(value)
const record = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !list(value)
const sizeOf = (value: unknown) => JSON.stringify(value ?? null).length

/** The part of a schema that speaks of a list or of an object, where several are offered. */
function part(schema: Schema | undefined, kind: 'array' | 'object'): Schema | undefined {
  if (!schema) return undefined
  if (schema.type === kind) return schema
  return [...(schema.anyOf ?? []), ...(schema.oneOf ?? [])].map(s => part(s, kind)).find(Boolean)
}

/**
 * One member of an input enlarged, the rest as it is: each list is filled to its most entries, or to what fits.
 * @returns variants, each with the path of what was enlarged
 */
export function* enlarged(example: unknown, schema: Schema | undefined, room: Room): Generator<{ path: string; input: unknown }> {
  for (const path of pathsOf(example)) {
    const value = at(example, path)
    const here = schemaAt(schema, path)
    if (list(value) && value.length) {
      const most = Math.min(part(here, 'array')?.maxItems ?? Infinity, Math.floor((room.bytes - sizeOf(example)) / Math.max(1, sizeOf(value) / value.length)))
      if (most > value.length)
        yield {
          path: path.join('.'),
          input: put(
            example,
            path,
            Array.from({ length: most }, (_, i) => varied(value[i % value.length], i, room)),
          ),
        }
    } else if (typeof value === 'string') {
      const most = Math.min(here?.maxLength ?? Infinity, room.bytes - sizeOf(example))
      if (most > value.length)
        yield { path: path.join('.'), input: put(example, path, (value || 'x').repeat(Math.ceil(most / Math.max(1, value.length))).slice(0, most)) }
    } else if (typeof value === 'number')
      for (const figure of [here?.maximum, 1e15, 1e308, -1e308, 1e-300, 0, here?.minimum])
        if (figure !== undefined) yield { path: `${path.join('.')}=${figure}`, input: put(example, path, figure) }
  }
}

/** The same again, and yet another: figures drift, so that a list is not the same thing many times. */
function varied(value: unknown, i: number, room: Room): unknown {
  if (typeof value === 'number') return value === 0 ? room.random() : value * (0.5 + room.random())
  if (typeof value === 'string') return i % 2 && /^[\w .-]+$/.test(value) && !/^\d/.test(value) ? `${value}${i}` : value
  if (list(value)) return value.map(one => varied(one, i, room))
  return record(value) ? Object.fromEntries(Object.entries(value).map(([key, one]) => [key, varied(one, i, room)])) : value
}

function pathsOf(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (list(value)) return [path, ...value.slice(0, 2).flatMap((one, i) => pathsOf(one, [...path, i]))]
  return record(value) ? Object.entries(value).flatMap(([key, one]) => pathsOf(one, [...path, key])) : [path]
}
const at = (value: unknown, path: (string | number)[]): unknown => path.reduce<unknown>((in_, key) => (in_ as Record<string, unknown>)?.[key], value)
function put(value: unknown, [key, ...rest]: (string | number)[], what: unknown): unknown {
  if (key === undefined) return what
  const copy = list(value) ? [...value] : { ...(value as object) }
  ;(copy as Record<string, unknown>)[key] = put((value as Record<string, unknown>)[key], rest, what)
  return copy
}
function schemaAt(schema: Schema | undefined, path: (string | number)[]): Schema | undefined {
  return path.reduce<Schema | undefined>(
    (in_, key) => (typeof key === 'number' ? (part(in_, 'array')?.items as Schema | undefined) : part(in_, 'object')?.properties?.[key]),
    schema,
  )
}
