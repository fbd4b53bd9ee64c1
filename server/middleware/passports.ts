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

/** The one way a link is written: what else would be drawn for it, such as with a slash at its end, would be drawn each time anew. */
function canonical(path: string): string {
  const [bare = ''] = path.split('?')
  try {
    return decodeURIComponent(bare).replace(/\/+/g, '/').replace(/\/$/, '')
  } catch {
    return bare
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
  const link = canonical(event.path)
  if (link !== event.path && /^\/passport\/[\w-]+$/.test(link)) return sendRedirect(event, link)
  try {
    return await pageFor(event)
  } catch (error) {
    if (!(error instanceof Busy)) throw error
    setResponseStatus(event, error.status)
    setResponseHeader(event, 'retry-after', error.retryAfterSeconds)
    return error.message
  }
})
