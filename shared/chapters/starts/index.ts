import { chapter } from '../../kernel/contract'
import { onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Starts that are attended and watched. */
export const starts = chapter({ name: 'starts', onMachine, entries, view })
export * from './words'
export * from './shapes'

/** A start that runs at this moment. */
export interface RunningStart {
  tag: string
  atProbe: string
  atSwitch: string
}
