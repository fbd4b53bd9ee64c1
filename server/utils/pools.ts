import { join } from 'node:path'
import type { H3Event } from 'h3'
import { threadPool } from '../kernel/pool'
import type { ContractDone, ContractTask } from '../workers/contracts'
import type { InstrumentDone, InstrumentTask } from '../workers/instruments'

/** The programs of the threads lie beside the built server; both are started from the program's folder. */
const program = (name: string) => join(process.cwd(), '.output/workers', `${name}.mjs`)

/** Instruments that answer at once, and those whose work takes its time: neither waits for the other. */
const quick = threadPool<InstrumentTask, InstrumentDone>(program('instruments'), {
  running: 1,
  waiting: 40,
  retryAfterSeconds: 2,
  longestMs: 5000,
  memoryMb: 192,
  advice: 'Give it less at once.',
})
const heavy = threadPool<InstrumentTask, InstrumentDone>(program('instruments'), {
  running: 1,
  waiting: 3,
  retryAfterSeconds: 10,
  longestMs: 20_000,
  memoryMb: 256,
  advice: 'Give it a smaller picture, or fewer spots.',
})
export const instrumentPools = { quick, heavy }

/** Large requests are checked here; what carries them out then has only that left to do. */
export const contracts = threadPool<ContractTask, ContractDone>(program('contracts'), {
  running: 1,
  waiting: 10,
  retryAfterSeconds: 3,
  longestMs: 10_000,
  memoryMb: 256,
  advice: 'Send it in smaller parts.',
})

/** Tells when whoever asked has left before they were answered. */
export function leaving(event: H3Event): AbortSignal {
  const gone = new AbortController()
  event.node.res.once('close', () => gone.abort())
  return gone.signal
}
