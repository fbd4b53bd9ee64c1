import { type H3Event, sendRedirect, setResponseHeader, setResponseStatus } from 'h3'
import type { Passport } from '#shared/chapters/home/index'
import { passportOf } from '../chapters/home/index'
import { Busy, NotFound } from '../kernel/refusals'

/** The passport under this link; nothing where none is open. */
function openedAt(token: string): Passport | undefined {
  try {
    return passportOf(useBench(), token)
  } catch (error) {
    if (error instanceof NotFound) return undefined
    throw error
  }
}

async function pageFor(event: H3Event) {
  await publicTurn(event)
  const passport = openedAt(event.path.slice('/passport/'.length))
  if (!passport) return
  const nonce = newNonce()
  const page = pageOf(passport, nonce)
  if (page === undefined) {
    // Drawn in a moment, and remembered by `plugins/content-policy.ts`.
    event.context.passport = passport
    return
  }
  setResponseHeader(event, 'content-type', 'text/html;charset=utf-8')
  setResponseHeader(event, 'content-security-policy', policyOf(nonce))
  return page
}

/** Pages of passports are drawn by the server for anybody: each in its turn, and once for all who look. */
export default defineEventHandler(async event => {
  if (!event.path.startsWith('/passport/')) return
  const [bare = '', query] = event.path.split('?')
  if (query !== undefined) return sendRedirect(event, bare)
  try {
    return await pageFor(event)
  } catch (error) {
    if (!(error instanceof Busy)) throw error
    setResponseStatus(event, error.status)
    setResponseHeader(event, 'retry-after', error.retryAfterSeconds)
    return error.message
  }
})
