import { expose } from 'comlink'
import { reasonSwaps } from '#core/diagnosis/swap'

/** Weighs which parts explain every test. */
const worker = { reason: reasonSwaps }
export type SwapBench = typeof worker
expose(worker)
