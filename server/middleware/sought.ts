import { type H3Event, sendRedirect, setResponseStatus } from 'h3'
import { v7 as uuidv7 } from 'uuid'
import { InputError } from '#core/kernel/input-error'
import { soughtKeyPattern } from '#core/sharing/sought'
import { OfferMade, type SoughtView } from '#shared/chapters/sought/index'
import { keepOffer, lineOf, soughtView } from '../chapters/sought/index'
import { NotFound, Refusal } from '../kernel/refusals'

/** What somebody sent that could not be kept, for the page to show again: nothing typed is lost. */
export interface NotKept {
  typed: Record<string, string>
  problems: Record<string, string>
  message: string
}

const thanks = {}
const largestAnswerBytes = 12_000

async function openList(): Promise<SoughtView | undefined> {
  try {
    return await soughtView(useBench())
  } catch (error) {
    if (error instanceof NotFound) return undefined
    throw error
  }
}

/** What the page under this path shows; nothing where it shows that there is nothing. */
async function shownAt(path: string): Promise<object | undefined> {
  const list = await openList()
  if (!list || path === '/sought') return list
  if (path === '/sought/thanks') return thanks
  const key = path.slice('/sought/'.length)
  return list.wanted.find(part => part.key === key) ?? list.spared.find(part => part.key === key)
}

/** Takes in what somebody outside says to a line of the list. @throws NotFound, InputError, TooManyTries, NotNow */
async function take(event: H3Event, key: string, typed: Record<string, string>): Promise<void> {
  if (!soughtKeyPattern.test(key) || !(await openList())) throw new NotFound('There is no such line on the list.')
  const { db, now, announce } = useBench()
  const line = lineOf(db, key)
  const made = OfferMade.parse({ ...typed, about: key })
  await countOffer(addressOf(event))
  const at = now().toISOString()
  keepOffer(db, at, made, line)
  announce({ id: uuidv7(), at, by: '', kinds: [], tags: [], collection: true, machines: [] })
}

/** @returns what could not be kept, and why; nothing where it was kept */
async function answered(event: H3Event, key: string): Promise<NotKept | undefined> {
  let typed: Record<string, string> = {}
  try {
    await countAnswer(addressOf(event))
    typed = Object.fromEntries(new URLSearchParams(await readText(event, largestAnswerBytes)))
    await take(event, key, typed)
    return undefined
  } catch (error) {
    const wrong = whatWasWrong(error)
    if (!wrong) throw error
    setResponseStatus(event, wrong.status)
    return { typed, ...wrong }
  }
}
function whatWasWrong(error: unknown): (Omit<NotKept, 'typed'> & { status: number }) | undefined {
  if (error instanceof Refusal) return { status: error.status, problems: {}, message: error.message }
  if (error instanceof InputError) return { status: 422, problems: { [error.field]: error.message }, message: '' }
  const issues = (error as { issues?: { path: PropertyKey[]; message: string }[] }).issues
  return issues && { status: 422, problems: Object.fromEntries(issues.map(i => [String(i.path[0]), i.message]).reverse()), message: '' }
}

/** The public list is drawn by the server for anybody, without a script: each page in its turn, and once for all who look; its form is taken in here. */
export default defineEventHandler(event => {
  const path = canonical(event.path)
  if (path !== '/sought' && !path.startsWith('/sought/')) return
  if (event.method !== 'POST' && path !== event.path.split('?')[0] && /^\/sought(\/[\w-]+)?$/.test(path)) return sendRedirect(event, path)
  return orBusy(event, async () => {
    await publicTurn(event)
    if (event.method !== 'POST') return drawnFor(event, await shownAt(path))
    const notKept = await answered(event, path.slice('/sought/'.length))
    if (!notKept) return sendRedirect(event, '/sought/thanks', 303)
    event.context.notKept = notKept
    return undefined
  })
})
