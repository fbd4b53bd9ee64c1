import type { RecapOrderInput } from '#core/parts/recap/order'
import type { OrderDone } from '../workers/order'
import { join } from 'node:path'
import type { H3Event } from 'h3'
import { threadPool } from '../kernel/turns/pool'
import type { AllocationDone, AllocationTask } from '../workers/allocation'
import type { ContractDone, ContractTask } from '../workers/contracts'
import type { InstrumentDone, InstrumentTask } from '../workers/instruments'
import type { LabelTask } from '../workers/labels'

/** The programs of the threads lie beside the built server; both are started from the program's folder. */
const program = (name: string) => join(process.cwd(), '.output/workers', `${name}.mjs`)

/** Instruments that answer at once, and those whose work takes its time: neither waits for the other. */
const quick = threadPool<InstrumentTask, InstrumentDone>(program('instruments'), {
  running: 1,
  waiting: 60,
  waitingOfOne: 30,
  patienceMs: 15_000,
  retryAfterSeconds: 2,
  longestMs: 5000,
  memoryMb: 192,
  advice: 'Give it less at once.',
})
const heavy = threadPool<InstrumentTask, InstrumentDone>(program('instruments'), {
  running: 1,
  waiting: 8,
  waitingOfOne: 3,
  patienceMs: 40_000,
  retryAfterSeconds: 10,
  longestMs: 20_000,
  memoryMb: 256,
  advice: 'Give it a smaller picture, or fewer spots.',
})
export const instrumentPools = { quick, heavy }

/** Large requests are checked here; what carries them out then has only that left to do. */
export const contracts = threadPool<ContractTask, ContractDone>(program('contracts'), {
  running: 1,
  waiting: 20,
  waitingOfOne: 8,
  patienceMs: 20_000,
  retryAfterSeconds: 3,
  longestMs: 10_000,
  memoryMb: 256,
  advice: 'Send it in smaller parts.',
})

/** Who gets what of the parts: a programme that fills a thread for a moment. */
export const allocations = threadPool<AllocationTask, AllocationDone>(program('allocation'), {
  running: 1,
  waiting: 8,
  waitingOfOne: 2,
  patienceMs: 30_000,
  retryAfterSeconds: 5,
  longestMs: 30_000,
  memoryMb: 256,
  advice: 'Settle what is wanted no more, and ask again.',
})

/** What several lists of capacitors cost together. */
export const orders = threadPool<RecapOrderInput, OrderDone>(program('order'), {
  running: 1,
  waiting: 8,
  waitingOfOne: 2,
  patienceMs: 30_000,
  retryAfterSeconds: 5,
  longestMs: 20_000,
  memoryMb: 256,
  advice: 'Order for fewer machines at once.',
})

/** Labels are drawn one at a time, for the queue of the printer alone. */
export const labels = threadPool<LabelTask, Uint8Array>(program('labels'), {
  running: 1,
  waiting: 1,
  retryAfterSeconds: 3,
  longestMs: 20_000,
  memoryMb: 256,
  advice: 'Print a smaller label.',
})

/** Does something once the answer has been sent, or whoever asked has left; at once where they have left already. */
export function whenGone(event: H3Event, then: () => void): void {
  const { res } = event.node
  if (res.closed || res.destroyed || res.socket?.destroyed) then()
  else res.once('close', then)
}

/** Tells when whoever asked has left before they were answered. */
export function leaving(event: H3Event): AbortSignal {
  const gone = new AbortController()
  whenGone(event, () => gone.abort())
  return gone.signal
}
