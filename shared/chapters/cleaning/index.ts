import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Clean: what was cleaned, and with what. */
export const cleaning = chapter({ name: 'cleaning', onMachine, onCollection, entries, view })
