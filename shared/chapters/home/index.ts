import { chapter } from '../../kernel/contract'
import { onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Home: its life, open questions, the public passport. */
export const home = chapter({ name: 'home', onMachine, entries, view })
export { Passport } from './view'
