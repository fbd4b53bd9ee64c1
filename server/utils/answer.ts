import type { z } from 'zod'
import { createHmac } from 'node:crypto'
import { type EventHandlerRequest, type H3Event, defineEventHandler, getHeader, readRawBody, setResponseHeader, setResponseStatus } from 'h3'
import { v7 as uuidv7, validate as isUuid } from 'uuid'
import { InputError } from '#core/kernel/input-error'
import { type CommandInput, type CommandName, largestBodyOf, may, readCommandInput } from '#shared/chapters/index'
import { type ErrorAnswer, commandIdHeader, commandWaitedHeader, serverTimeHeader } from '#shared/kernel/answers'
import { findPerson, type PersonRow, sessionStands } from '../chapters/people/index'
import { assembled } from '../kernel/assembled'
import { badInputAnswer, jsonOf } from '../kernel/bad-input'
import type { Sent } from '../kernel/perform'
import { Busy, NoRoom, NotAllowed, Refusal } from '../kernel/refusals'
import { TooSlow, inTime, patienceMs } from '../kernel/turns/in-time'
import { Turnstile } from '../kernel/turns/turnstile'
import { useBench } from './bench'
import { contracts, leaving } from './pools'
import { addressOf } from './sign-in-limit'

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
      // Nothing more of such a request is listened to.
      if (error instanceof TooSlow) setResponseHeader(event, 'connection', 'close')
      if (error instanceof Busy) setResponseHeader(event, 'retry-after', error.retryAfterSeconds)
      setResponseStatus(event, status)
      return answer
    }
  })
}

function refusalOf(error: unknown): { status: number; answer: ErrorAnswer } {
  const bad = badInputAnswer(error)
  if (bad) return { status: 422, answer: bad }
  if ((error as { code?: string }).code === 'SQLITE_FULL') return refusalOf(new NoRoom())
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

/** Between the pieces of work of one request, and of many, others have their turn. */
export const turnstile = new Turnstile()

/** So many requests of one address wait for their turn, where nobody signs in. */
const mostFromAnAddress = 60
/** The turn of somebody who is not signed in. @throws Busy */
export const publicTurn = (event: H3Event): Promise<void> => turnstile.pass(`address ${addressOf(event)}`, mostFromAnAddress)

/** Whose turn it is: a person's where somebody is signed in, else an address's. */
export async function askerOf(event: H3Event): Promise<string> {
  const person = await personOf(event)
  return person ? `person ${person.id}` : `address ${addressOf(event)}`
}

/** Whoever is signed in; a person made inactive is not, nor one whose session was ended, be it by a new password. */
export async function personOf(event: H3Event): Promise<PersonRow | null> {
  const { user } = await getUserSession(event)
  const { db, now } = useBench()
  const person = user ? findPerson(db, user.id) : undefined
  return user && person?.active && sessionStands(db, user.session ?? '', person.id, now()) ? person : null
}

/** @throws NotSignedIn, answered with 401 */
export async function requirePerson(event: H3Event): Promise<PersonRow> {
  const person = await personOf(event)
  if (!person) throw new NotSignedIn('Sign in first.')
  await turnstile.pass(`person ${person.id}`)
  return person
}

/** The signed-in person, when the table allows them this command. @throws NotSignedIn, NotAllowed */
export async function requireLeave(event: H3Event, command: CommandName): Promise<PersonRow> {
  const person = await requirePerson(event)
  if (!may(person.role, command)) throw new NotAllowed(`A ${person.role} may not do this. Ask a coordinator.`)
  return person
}

/** The body, read as JSON and checked. @throws TooLarge, ZodError */
export const readInput = async <S extends z.ZodType>(event: H3Event, schema: S): Promise<z.output<S>> => schema.parse(await readJson(event))

/** So large a request is read and checked in a thread. */
const largeBytes = 100_000

class RefusedInput extends Refusal {
  readonly status = 422
  readonly code = 'bad-input'
  constructor(private readonly answer: ErrorAnswer) {
    super(answer.error.message)
  }
  override details() {
    return this.answer.error
  }
}

/** A digest of what was asked, under the house's own key: a password that stands in it cannot be guessed from what is kept. */
const askedBy = (body: string) =>
  createHmac('sha256', process.env.NUXT_SESSION_PASSWORD ?? '')
    .update(body)
    .digest('base64url')

/** Under which id a command came, and what it asked. @throws InputError for an id that is no UUID */
export const sentAs = (event: H3Event, body: string): Sent => ({ id: commandId(event) ?? uuidv7(), asked: askedBy(body), waitedMs: waitedMs(event) })

/** For how long it could not be sent, as whoever sends it says; a figure that is none is not taken. @throws InputError */
function waitedMs(event: H3Event): number {
  const given = getHeader(event, commandWaitedHeader)
  if (given !== undefined && !/^\d{1,12}$/.test(given))
    throw new InputError(commandWaitedHeader, given.slice(0, 60), 'How long it waited is a whole number of ms.')
  return Number(given ?? 0)
}

/** What a command is asked to do, read and checked by its contract, and what it came as. @throws TooLarge, ZodError, RefusedInput, Busy */
export async function readCommand<N extends CommandName>(event: H3Event, name: N): Promise<{ input: CommandInput<N>; sent: Sent }> {
  // An id that is none is told before anything is waited for.
  commandId(event)
  const length = Number(getHeader(event, 'content-length') ?? 0)
  if (length > largeBytes) contracts.expectRoom(await askerOf(event))
  const body = await readText(event, largestBodyOf(name))
  const sent = sentAs(event, body)
  if (body.length < largeBytes && !assembled().preparations[name]) return { input: readCommandInput(name, jsonOf(body)), sent }
  const done = await contracts.run({ name, body }, leaving(event), await askerOf(event))
  if ('refused' in done) throw new RefusedInput(done.refused)
  // That took its time; whoever was sent away meanwhile does nothing any more.
  await requireLeave(event, name)
  return { input: done.input as CommandInput<N>, sent }
}

/** @returns how many bytes it says that it has @throws TooLarge */
function expectSize(event: H3Event, largestBytes = largestBodyBytes): number {
  const length = Number(getHeader(event, 'content-length') ?? Number.NaN)
  if (!(length <= largestBytes)) throw new TooLarge(`The request is larger than ${Math.round(largestBytes / 1e6)} MB, or does not say how large it is.`)
  return length
}

/** The body as it came. @throws TooLarge, TooSlow */
export async function readText(event: H3Event, largestBytes?: number): Promise<string> {
  const bytes = expectSize(event, largestBytes)
  return (await inTime(readRawBody(event), patienceMs(bytes), leaving(event))) ?? ''
}

/** The body, read as JSON. @throws TooLarge, InputError */
const readJson = async (event: H3Event, largestBytes?: number): Promise<unknown> => jsonOf(await readText(event, largestBytes))

/**
 * The id that a command brings along, so that a repeated request is carried out once; a new one where it brings none.
 * @throws InputError for an id that is no UUID
 */
function commandId(event: H3Event): string | undefined {
  const given = getHeader(event, commandIdHeader)
  if (given !== undefined && !isUuid(given)) throw new InputError(commandIdHeader, given.slice(0, 60), 'The id of a command is a UUID.')
  return given
}
