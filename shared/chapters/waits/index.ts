import { chapter } from '../../kernel/contract'
import { onMachine } from './commands'
import { entries } from './entries'

/** Waits: drying, soaking, the post, an answer. */
export const waits = chapter({ name: 'waits', onMachine, entries })
