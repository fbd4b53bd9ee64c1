import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { facts } from './facts'
import { sharingView } from './view'
import { acceptBulletin, readBulletin, withdrawBulletin } from './carry-out'
import { rows } from './rows'

/** Sharing: bulletins, and the record of a machine as a file. */
export const sharingChapter = serverChapter({
  name: 'sharing',
  schema,
  facts,
  view: sharingView,
  onMachine: { 'read-bulletin': readBulletin },
  onCollection: { 'accept-bulletin': acceptBulletin, 'withdraw-bulletin': withdrawBulletin },
  rows,
})
export * from './archive'
export * from './schema'
export * from './view'
export * from './model-page'
