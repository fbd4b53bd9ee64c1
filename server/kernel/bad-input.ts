import { ZodError } from 'zod'
import { InputError } from '#core/kernel/input-error'
import type { ErrorAnswer } from '#shared/kernel/answers'

const notJson = () => new InputError('', '', 'The request is not JSON. Send a JSON object.')

/** The body of a request as JSON; an empty one says nothing. @throws InputError */
export function jsonOf(body: string): unknown {
  try {
    return JSON.parse(body || '{}')
  } catch {
    throw notJson()
  }
}

/** How input that will not do is answered, with its field; nothing for an error of another kind. */
export function badInputAnswer(error: unknown): ErrorAnswer | undefined {
  if (error instanceof InputError) return { error: { code: error.code, field: error.field, message: error.message, fields: { [error.field]: error.message } } }
  if (!(error instanceof ZodError)) return undefined
  const fields: Record<string, string> = {}
  for (const issue of error.issues) fields[issue.path.join('.')] ??= issue.message
  const [first] = error.issues
  return { error: { code: 'bad-input', field: first?.path.join('.') ?? '', message: first?.message ?? 'The input does not fit.', fields } }
}
