import { setResponseHeader, setResponseStatus } from 'h3'
import { Busy } from '../kernel/refusals'

/** Pages of passports are drawn by the server for anybody: each in its turn. */
export default defineEventHandler(async event => {
  if (!event.path.startsWith('/passport/')) return
  try {
    await publicTurn(event)
  } catch (error) {
    if (!(error instanceof Busy)) throw error
    setResponseStatus(event, error.status)
    setResponseHeader(event, 'retry-after', error.retryAfterSeconds)
    return error.message
  }
})
