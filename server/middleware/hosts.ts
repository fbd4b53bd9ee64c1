import { getRequestHost, setResponseStatus } from 'h3'

/** `ALLOWED_HOSTS=bench.example.org,192.0.2.7`: the names under which this bench is asked for; any where none is set. */
const allowed = (process.env.ALLOWED_HOSTS ?? '')
  .split(',')
  .map(h => h.trim().toLowerCase())
  .filter(Boolean)

/** A page of somebody else's that points its own name at this computer is not answered (RFC 9110, 421 Misdirected Request). */
export default defineEventHandler(event => {
  if (!allowed.length) return
  const host = getRequestHost(event).toLowerCase()
  if (allowed.includes(host) || allowed.includes(host.replace(/:\d+$/, ''))) return
  setResponseStatus(event, 421)
  return { error: { code: 'unknown-host', message: 'This bench is not known under that name.' } }
})
