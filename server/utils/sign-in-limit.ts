import { RateLimiterMemory } from 'rate-limiter-flexible'
import { Refusal } from '../kernel/refusals'

export class TooManyTries extends Refusal {
  readonly status = 429
  readonly code = 'too-many-tries'
}

/** Six wrong tries at a name from one address, then a pause of a minute. */
const limiter = new RateLimiterMemory({ points: 6, duration: 60, blockDuration: 60 })

/** @throws TooManyTries */
export async function countTry(key: string): Promise<void> {
  try {
    await limiter.consume(key)
  } catch {
    throw new TooManyTries('Too many tries. Wait a minute, then try again.')
  }
}

export const forgetTries = (key: string) => limiter.delete(key)
