import { serverChapter } from '../../kernel/chapter'
import { settlePart, wantPart } from './carry-out'
import { rows } from './rows'

/** Parts wanted: what can be done, and what is loaded with a machine. */
export const partsChapter = serverChapter({ onMachine: { 'want-part': wantPart, 'settle-part': settlePart }, rows })
export * from './carry-out'
export * from './schema'
export { facts as partsFacts } from './facts'
export * from './view'
