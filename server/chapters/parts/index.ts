import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { facts } from './facts'
import { partsView } from './view'
import { changePart, settlePart, wantPart } from './carry-out'
import { rows } from './rows'

/** Parts wanted: what can be done, and what is loaded with a machine. */
export const partsChapter = serverChapter({
  name: 'parts',
  schema,
  facts,
  view: partsView,
  onMachine: { 'want-part': wantPart, 'change-part': changePart, 'settle-part': settlePart },
  rows,
})
export * from './carry-out'
export * from './schema'
export * from './view'
