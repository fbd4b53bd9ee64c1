import { ZodError, type z } from 'zod'
import { type EventHandlerRequest, type H3Event, defineEventHandler, getHeader, readBody, setResponseHeader, setResponseStatus } from 'h3'
import { validate as isUuid } from 'uuid'
import { InputError } from '#core/kernel/input-error'
import { type CommandName, may } from '#shared/chapters/index'
import { type ErrorAnswer, commandIdHeader, serverTimeHeader } from '#shared/kernel/answers'
import { findPerson, type PersonRow, sealOf, sessionStands } from '../chapters/people/index'
import { NotAllowed, Refusal } from '../kernel/refusals'
import { useBench } from './bench'

const largestBodyBytes = 1_000_000

class NotSignedIn extends Refusal {
  readonly status = 401
  readonly code = 'not-signed-in'
}

class TooLarge extends Refusal {
  readonly status = 413
  readonly code = 'too-large'
}

/** A handler whose refusals are answered in one shape: `{ error: { code, field?, message, … } }`. */
export function defineAnswer<T>(handler: (event: H3Event<EventHandlerRequest>) => T | Promise<T>) {
  return defineEventHandler(async (event): Promise<T | ErrorAnswer> => {
    setResponseHeader(event, serverTimeHeader, useBench().now().toISOString())
    try {
      return await handler(event)
    } catch (error) {
      const { status, answer } = refusalOf(error)
      setResponseStatus(event, status)
      return answer
    }
  })
}

function refusalOf(error: unknown): { status: number; answer: ErrorAnswer } {
  if (error instanceof InputError)
    return { status: 422, answer: { error: { code: error.code, field: error.field, message: error.message, fields: { [error.field]: error.message } } } }
  if (error instanceof ZodError) {
    const fields: Record<string, string> = {}
    for (const issue of error.issues) fields[issue.path.join('.')] ??= issue.message
    const [first] = error.issues
    return {
      status: 422,
      answer: { error: { code: 'bad-input', field: first?.path.join('.') ?? '', message: first?.message ?? 'The input does not fit.', fields } },
    }
  }
  if (error instanceof Refusal) return { status: error.status, answer: { error: { code: error.code, message: error.message, ...error.details() } } }
  console.error(error)
  return {
    status: 500,
    answer: {
      error: {
        code: 'failed',
        message: 'Something went wrong on our side. Nothing was changed. Try again; if it stays, tell whoever looks after this program.',
      },
    },
  }
}

/** Whoever is signed in; a person made inactive is not, nor one whose password was set anew, or whose session was ended. */
export async function personOf(event: H3Event): Promise<PersonRow | null> {
  const { user } = await getUserSession(event)
  const { db, now } = useBench()
  const person = user ? findPerson(db, user.id) : undefined
  return user && person?.active && user.seal === sealOf(person) && sessionStands(db, user.session ?? '', person.id, now()) ? person : null
}

/** @throws NotSignedIn, answered with 401 */
export async function requirePerson(event: H3Event): Promise<PersonRow> {
  const person = await personOf(event)
  if (!person) throw new NotSignedIn('Sign in first.')
  return person
}

/** The signed-in person, when the table allows them this command. @throws NotSignedIn, NotAllowed */
export async function requireLeave(event: H3Event, command: CommandName): Promise<PersonRow> {
  const person = await requirePerson(event)
  if (!may(person.role, command)) throw new NotAllowed(`A ${person.role} may not do this. Ask a coordinator.`)
  return person
}

/** The body, read as JSON and checked. @throws TooLarge, ZodError */
export const readInput = async <S extends z.ZodType>(event: H3Event, schema: S, largestBytes?: number): Promise<z.output<S>> =>
  schema.parse((await readJson(event, largestBytes)) ?? {})

/** The body, read as JSON. @throws TooLarge, InputError */
export async function readJson(event: H3Event, largestBytes = largestBodyBytes): Promise<unknown> {
  const length = Number(getHeader(event, 'content-length') ?? Number.NaN)
  if (!(length <= largestBytes)) throw new TooLarge(`The request is larger than ${Math.round(largestBytes / 1e6)} MB, or does not say how large it is.`)
  try {
    return await readBody<unknown>(event)
  } catch {
    throw new InputError('', '', 'The request is not JSON. Send a JSON object.')
  }
}

/**
 * The id that a command brings along, so that a repeated request is carried out once; a new one where it brings none.
 * @throws InputError for an id that is no UUID
 */
export function commandId(event: H3Event): string | undefined {
  const given = getHeader(event, commandIdHeader)
  if (given !== undefined && !isUuid(given)) throw new InputError(commandIdHeader, given.slice(0, 60), 'The id of a command is a UUID.')
  return given
}
