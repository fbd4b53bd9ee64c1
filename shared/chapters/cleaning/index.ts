import { chapter } from '../../kernel/contract'
import { onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

export * from './words'
/** Clean: the plan, what got in and has to go, drying by mass, whitening by measured colour. */
export const cleaning = chapter({ name: 'cleaning', onMachine, entries, view })
