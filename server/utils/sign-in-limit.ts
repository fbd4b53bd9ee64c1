import { type H3Event, getRequestIP } from 'h3'
import { RateLimiterMemory } from 'rate-limiter-flexible'
import { Refusal } from '../kernel/refusals'

export class TooManyTries extends Refusal {
  readonly status = 429
  readonly code = 'too-many-tries'
}

/** Six wrong tries at a name from one address, then a pause of a minute; nobody can lock a person out from elsewhere. */
const atAName = new RateLimiterMemory({ points: 6, duration: 60, blockDuration: 60 })
/** Tries from one address, whatever the names: a class at one address signs in, a flood does not. */
const fromAnAddress = new RateLimiterMemory({ points: 40, duration: 60, blockDuration: 60 })

/** Addresses of proxies that say whom they speak for: `TRUSTED_PROXIES=192.0.2.1,192.0.2.2`. */
const proxies = () =>
  (process.env.TRUSTED_PROXIES ?? '')
    .split(',')
    .map(p => p.trim())
    .filter(Boolean)

/** The address a request came from; behind a proxy that is named as trusted, the last one that the proxy names. */
export function addressOf(event: H3Event): string {
  const direct = getRequestIP(event) ?? ''
  if (!proxies().includes(direct.replace(/^::ffff:/, ''))) return direct
  const named = String(event.node.req.headers['x-forwarded-for'] ?? '')
    .split(',')
    .map(a => a.trim())
    .filter(Boolean)
  return named.findLast(a => !proxies().includes(a)) ?? direct
}

/** @throws TooManyTries */
export async function countTry(key: string, address?: string): Promise<void> {
  try {
    if (address !== undefined) await fromAnAddress.consume(address)
    await atAName.consume(key)
  } catch {
    throw new TooManyTries('Too many tries. Wait a minute, then try again.')
  }
}

/** A try that was right counts for nothing. */
export async function forgetTries(key: string, address?: string): Promise<void> {
  await atAName.delete(key)
  if (address !== undefined) await fromAnAddress.reward(address)
}
