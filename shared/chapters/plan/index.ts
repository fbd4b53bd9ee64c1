import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'

/** Evenings: who is here, what each does, and what came of it. */
export const plan = chapter({ name: 'plan', onMachine, onCollection, entries })
export * from './words'
export type * from './view'
