import { chapter } from '../../kernel/contract'
import { onMachine } from './commands'
import { entries } from './entries'

/** The record itself: results pinned to it, entries struck. */
export const record = chapter({ name: 'record', onMachine, entries })
