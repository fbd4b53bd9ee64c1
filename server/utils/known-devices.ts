import { createHmac, timingSafeEqual } from 'node:crypto'
import { type H3Event, getCookie, setCookie } from 'h3'

const cookie = 'jolly-bench-device'
const lastsSeconds = 365 * 24 * 60 * 60

const sealOf = (signInName: string) =>
  createHmac('sha256', process.env.NUXT_SESSION_PASSWORD ?? '')
    .update(`device of ${signInName}`)
    .digest('base64url')

/**
 * Whether somebody has signed in under this name at this browser before. Their tries are counted apart, so that whoever guesses from the
 * same address keeps nobody out who works there (device cookies, OWASP).
 */
export function isKnownDevice(event: H3Event, signInName: string): boolean {
  const [given, wanted] = [Buffer.from(getCookie(event, cookie) ?? ''), Buffer.from(sealOf(signInName))]
  return given.length === wanted.length && timingSafeEqual(given, wanted)
}

export function rememberDevice(event: H3Event, signInName: string): void {
  const { secure } = (useRuntimeConfig(event).session as { cookie: { secure?: boolean } }).cookie
  setCookie(event, cookie, sealOf(signInName), { httpOnly: true, sameSite: 'strict', secure, path: '/api/session', maxAge: lastsSeconds })
}
