import { Piscina } from 'piscina'
import { type FewLimits, fewAtOnce } from './few-at-once'
import { TookTooLong } from '../refusals'

export interface PoolLimits extends FewLimits {
  /** So long one piece of work may take, in milliseconds. */
  longestMs: number
  /** So much memory a thread may fill, in MB; pixels lie beside it, and are bounded where they are unpacked. */
  memoryMb: number
  /** What would do, where work was ended. */
  advice: string
}

/** A thread that filled its memory is ended by Node under one of these. */
const outOfMemory = /ERR_WORKER_OUT_OF_MEMORY|heap out of memory|Array buffer allocation failed|Invalid array length|Invalid string length/

/**
 * Work in threads beside the request loop, within limits on time, memory and number.
 * @param file the bundled program of the thread
 */
export function threadPool<T, R>(file: string, { longestMs, memoryMb, advice, ...limits }: PoolLimits) {
  const { running } = limits
  let pool: Piscina | undefined
  const few = fewAtOnce(limits)
  function opened(): Piscina {
    if (pool) return pool
    pool = new Piscina({
      filename: file,
      minThreads: 0,
      maxThreads: running,
      idleTimeout: 60_000,
      concurrentTasksPerWorker: 1,
      resourceLimits: { maxOldGenerationSizeMb: memoryMb, maxYoungGenerationSizeMb: 32 },
    })
    // A thread that cannot even be started is told of; its request ends by its time.
    pool.on('error', error => console.error(error))
    return pool
  }

  async function inThread(task: T, gone: AbortSignal): Promise<R> {
    const late = AbortSignal.timeout(longestMs)
    try {
      return (await opened().run(task, { signal: AbortSignal.any([gone, late]) })) as R
    } catch (error) {
      if (gone.aborted) throw new TookTooLong('Whoever asked has left.')
      if (late.aborted) throw new TookTooLong(`It took longer than ${longestMs / 1000} s and was ended. ${advice}`)
      const { code = '', message } = error as Error & { code?: string }
      if (outOfMemory.test(`${code} ${message}`)) throw new TookTooLong(`It took more memory than one request may and was ended. ${advice}`)
      throw error
    }
  }

  return {
    /** Whoever would not be served is told before they are listened to. @throws Busy */
    expectRoom: few.expectRoom,
    /**
     * @param gone whoever asked has left; the work ends with them, and waits no longer if it has not begun
     * @param whose whoever asks: nobody waits for all that somebody else asks for
     * @throws Busy, TookTooLong, and whatever the work throws
     */
    run: (task: T, gone: AbortSignal, whose?: string): Promise<R> => few(() => inThread(task, gone), { whose, gone }),
    close: async () => pool?.destroy(),
  }
}
