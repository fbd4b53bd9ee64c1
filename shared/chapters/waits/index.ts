import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Waits: drying, soaking, the post, an answer. */
export const waits = chapter({ name: 'waits', onMachine, onCollection, entries, view })
