import { setPriority } from 'node:os'

/**
 * Lets a thread work only on what the request loop leaves of the processors. On Linux a priority belongs to the thread that sets it;
 * where it belongs to the process, or may not be set, nothing is lost.
 */
export function giveWay(): void {
  if (process.platform !== 'linux') return
  try {
    setPriority(10)
  } catch {
    /* it works all the same */
  }
}
