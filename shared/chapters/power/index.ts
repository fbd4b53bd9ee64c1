import { chapter } from '../../kernel/contract'
import { onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Making safe: facts for power, hazards, the gate, what is connected, batteries, rails on and off, temperatures. */
export const power = chapter({ name: 'power', onMachine, entries, view })
export * from './shapes'
