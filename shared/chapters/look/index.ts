import { chapter } from '../../kernel/contract'
import { onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Look: assemblies, photographs, damage with its checks, corrosion measured, and what was done to it before. */
export const look = chapter({ name: 'look', onMachine, entries, view })
export * from './words'
export * from './files'
export { PhotographView, CorrosionView } from './view'
export * from './rows'
