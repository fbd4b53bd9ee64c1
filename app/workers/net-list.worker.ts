import { expose } from 'comlink'
import { readNetList } from '#core/continuity/read-net-list'

/** Reads files with nets beside the page; whoever waits can end it. */
const worker = { read: readNetList }
export type NetListBench = typeof worker
expose(worker)
