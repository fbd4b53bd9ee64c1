import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Sharing: bulletins of what was learned, and the record that leaves the house. */
export const sharing = chapter({ name: 'sharing', onMachine, onCollection, entries, view })
export { BulletinShape, type BulletinsOfModel } from './view'
