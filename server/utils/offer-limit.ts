import { RateLimiterMemory } from 'rate-limiter-flexible'
import { TooManyTries } from './sign-in-limit'

/** Forms sent from one address, right or wrong. */
const answers = new RateLimiterMemory({ points: 20, duration: 60 })
/** What is kept: of one address, and of all together, in an hour. Whoever looks it over is a person. */
const ofAnAddress = new RateLimiterMemory({ points: 5, duration: 3600 })
const ofAll = new RateLimiterMemory({ points: 60, duration: 3600 })

async function count(limiter: RateLimiterMemory, key: string, says: string): Promise<void> {
  try {
    await limiter.consume(key)
  } catch {
    throw new TooManyTries(says)
  }
}

/** @throws TooManyTries */
export const countAnswer = (address: string) => count(answers, address, 'Too many at once. Wait a minute, then send it again.')
/** @throws TooManyTries */
export async function countOffer(address: string): Promise<void> {
  await count(ofAnAddress, address, 'You have sent several already. Thank you; please come back in an hour for more.')
  await count(ofAll, 'all', 'Many people write to us just now. Please come back in an hour.')
}
