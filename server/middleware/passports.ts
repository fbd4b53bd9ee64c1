import { sendRedirect } from 'h3'
import type { Passport } from '#shared/chapters/home/index'
import { passportOf } from '../chapters/home/index'
import { NotFound } from '../kernel/refusals'

/** The passport under this link; nothing where none is open. */
function openedAt(token: string): Passport | undefined {
  try {
    return passportOf(useBench(), token)
  } catch (error) {
    if (error instanceof NotFound) return undefined
    throw error
  }
}

/** Pages of passports are drawn by the server for anybody: each in its turn, and once for all who look. */
export default defineEventHandler(event => {
  if (!event.path.startsWith('/passport/')) return
  const link = canonical(event.path)
  if (link !== event.path && /^\/passport\/[\w-]+$/.test(link)) return sendRedirect(event, link)
  return orBusy(event, async () => {
    await publicTurn(event)
    return drawnFor(event, openedAt(event.path.slice('/passport/'.length)))
  })
})
