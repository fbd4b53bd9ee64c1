import { defineEventHandler, getHeader, getRequestHost, setResponseStatus } from 'h3'

const reading = ['GET', 'HEAD', 'OPTIONS']

/**
 * Refuses requests that change something when another site's page made the browser send them.
 * The form of the public list asks for no session, and is held to it too.
 * The session cookie is SameSite=Strict besides; a program without a browser sends neither header and has no cookie to abuse.
 */
export default defineEventHandler(event => {
  if (reading.includes(event.method) || !/^\/(api|sought)\//.test(event.path)) return
  const site = getHeader(event, 'sec-fetch-site')
  const origin = getHeader(event, 'origin')
  const foreign = (site && site !== 'same-origin' && site !== 'none') || (origin && hostOf(origin) !== getRequestHost(event, { xForwardedHost: true }))
  if (!foreign) return
  setResponseStatus(event, 403)
  return { error: { code: 'foreign-site', message: 'This request came from another site and was refused.' } }
})

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host
  } catch {
    return null
  }
}
