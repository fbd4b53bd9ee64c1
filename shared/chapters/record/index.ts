import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** The record itself: results pinned to it, entries struck. */
export const record = chapter({ name: 'record', onMachine, onCollection, entries, view })
