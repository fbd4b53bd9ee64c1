import { stat } from 'node:fs/promises'
import sharp from 'sharp'
import { type Asker, fewAtOnce } from '../kernel/turns/few-at-once'

/** What is larger takes seconds, and whoever sends a phone's picture does not wait for it. */
const largePixels = 30e6
const largeBytes = 15e6
const limits = { running: 1, waiting: 200, waitingOfOne: 100, retryAfterSeconds: 10, patienceMs: 240_000 }
const small = fewAtOnce(limits)
const large = fewAtOnce({ ...limits, waiting: 20, waitingOfOne: 6 })

/**
 * Pictures are worked on one at a time, and large ones apart, so that thirty at once do not fill the memory; whoever sends them has turns with
 * whoever else does. The work itself is off the request loop.
 * @param whose whoever sends it @throws Busy, TookTooLong where they have left, and whatever the work throws
 */
export async function picturesAtWork<T>(picture: string, whose: string, work: () => Promise<T>, gone?: AbortSignal): Promise<T> {
  const asker: Asker = { whose, gone }
  return ((await isLarge(picture)) ? large : small)(work, asker)
}

/** By its size on the disk and by its header; what cannot be read is told by whoever works on it. */
async function isLarge(picture: string): Promise<boolean> {
  const { width = 0, height = 0 } = await sharp(picture, { limitInputPixels: false })
    .metadata()
    .catch(() => ({}) as { width?: number; height?: number })
  return width * height > largePixels || (await stat(picture)).size > largeBytes
}
