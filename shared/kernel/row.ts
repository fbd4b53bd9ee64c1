import { z } from 'zod'

type Fields = Readonly<Record<string, z.ZodType>>
/** What is stored of a field is what comes out once it was read. */
type Seen<F extends Fields> = { [K in keyof F]: z.ZodType<z.output<F[K]>> }

/** What a stored value of a field looks like: its kind, without the limits that hold for typing, so that what was written before them still reads. */
function stored(field: z.core.$ZodType): z.ZodType {
  const { def } = field as z.ZodType
  switch (def.type) {
    case 'default':
    case 'prefault':
    case 'optional':
    case 'readonly':
      return stored((def as z.core.$ZodDefaultDef).innerType)
    case 'nullable':
      return stored((def as z.core.$ZodNullableDef).innerType).nullable()
    case 'string':
    case 'enum':
      return z.string()
    case 'number':
      return z.number()
    case 'boolean':
      return z.boolean()
    default:
      return z.custom(value => value !== undefined)
  }
}

/**
 * The fields of a row that people edit, said once: as they are typed, shown, compared where two people changed it, and remembered.
 * @param typed each field with its message
 * @param since what entries mean that are older than a field, for each field that came later
 */
export function row<F extends Fields>(typed: F, since: { [K in keyof F]?: z.output<F[K]> } = {}) {
  const names = Object.keys(typed) as (keyof F & string)[]
  const shape = Object.fromEntries(names.map(name => [name, stored(typed[name]!)])) as unknown as Seen<F>
  return {
    /** For the request of a command. */
    typed,
    /** In the order in which they stand. */
    names,
    /** For what a page sees of it. */
    seen: shape,
    /** For what an entry in the history says of it. */
    said: Object.fromEntries(names.map(name => [name, name in since ? shape[name]!.default(since[name] as never) : shape[name]])) as unknown as Seen<F>,
    /** Of a stored row, these fields alone: what a page may see, what two versions are compared by. */
    of: <R extends Record<keyof F, unknown>>(row: R) => Object.fromEntries(names.map(name => [name, row[name]])) as unknown as Pick<R, keyof F>,
  }
}
