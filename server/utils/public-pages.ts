import { type H3Event, setResponseHeader, setResponseStatus } from 'h3'
import { Busy } from '../kernel/refusals'

/**
 * The page that shows this, as it was drawn before; where it was not, it is drawn in a moment and remembered by `plugins/content-policy.ts`.
 * @param shown what the page shows; nothing where there is nothing to show
 */
export function drawnFor(event: H3Event, shown: object | undefined): string | undefined {
  if (!shown) return
  const nonce = newNonce()
  const page = pageOf(shown, nonce)
  if (page === undefined) {
    event.context.drawn = shown
    return
  }
  setResponseHeader(event, 'content-type', 'text/html;charset=utf-8')
  setResponseHeader(event, 'content-security-policy', policyOf(nonce))
  return page
}

/** Answers in words where too much is asked for at once. */
export async function orBusy<T>(event: H3Event, answer: () => Promise<T>): Promise<T | string> {
  try {
    return await answer()
  } catch (error) {
    if (!(error instanceof Busy)) throw error
    setResponseStatus(event, error.status)
    setResponseHeader(event, 'retry-after', error.retryAfterSeconds)
    return error.message
  }
}

/** The one way a link is written: what else would be drawn for it, such as with a slash at its end, would be drawn each time anew. */
export function canonical(path: string): string {
  const [bare = ''] = path.split('?')
  try {
    return decodeURIComponent(bare).replace(/\/+/g, '/').replace(/\/$/, '')
  } catch {
    return bare
  }
}
