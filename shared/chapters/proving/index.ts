import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Prove: build-up, test sheets, soaks, the sign-off. */
export const proving = chapter({ name: 'proving', onMachine, onCollection, entries, view })
export { TestLineShape } from './shapes'
