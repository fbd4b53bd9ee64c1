import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Home: its life, open questions, the public passport. */
export const home = chapter({ name: 'home', onMachine, onCollection, entries, view })
export { Passport } from './view'
