import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { facts } from './facts'
import { openingView } from './view'
import { changeOpeningStep, countBack, recordOpeningStep, reuseOpening } from './carry-out'
import { rows } from './rows'

/** The opening record: what can be done, and what is loaded with a machine. */
export const openingChapter = serverChapter({
  name: 'opening',
  schema,
  facts,
  view: openingView,
  onMachine: { 'record-opening-step': recordOpeningStep, 'change-opening-step': changeOpeningStep, 'reuse-opening': reuseOpening, 'count-back': countBack },
  rows,
})
export * from './carry-out'
export * from './schema'
export * from './view'
