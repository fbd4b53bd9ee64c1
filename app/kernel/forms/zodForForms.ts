import type { TypedSchema } from 'vee-validate'
import type { z } from 'zod'

/** A path as the forms write it: rows in brackets. Written otherwise, the next check would take its own message back. */
const formPath = (path: readonly PropertyKey[]) =>
  path.map((part, i) => (typeof part === 'number' ? `[${part}]` : i ? `.${String(part)}` : String(part))).join('')

/**
 * Lets the forms check by a Zod contract. `whole` adds what is sent but not typed. Where the contract cannot be fetched everything does: the server checks
 * by it in any case, and that the line is gone is told where something is sent.
 */
export function zodForForms(
  schema: () => z.ZodType | Promise<z.ZodType>,
  whole: (values: object) => object,
): TypedSchema<Record<string, unknown>, Record<string, unknown>> {
  return {
    __type: 'VVTypedSchema',
    async parse(values) {
      const contract = await (async () => schema())().catch(() => undefined)
      const result = contract?.safeParse(whole(values))
      if (!result || result.success) return { value: values, errors: [] }
      const byPath = new Map<string, string[]>()
      for (const issue of result.error.issues) {
        const path = formPath(issue.path)
        byPath.set(path, [...(byPath.get(path) ?? []), issue.message])
      }
      return { errors: [...byPath].map(([path, errors]) => ({ path, errors })) }
    },
    cast: values => values,
  } as TypedSchema<Record<string, unknown>, Record<string, unknown>>
}
