import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** Continuity: boards with their nets, probe sheets, patch wires. */
export const continuity = chapter({ name: 'continuity', onMachine, onCollection, entries, view })
export { PinRow, pinOf, rowOf } from './shapes'
export type { BoardPicture, BoardPlaces, BoardView, PartPins, ProbeCheck, ProbeSheet } from './view'
