import { serverChapter } from '../../kernel/chapter'
import { acceptBulletin, readBulletin, withdrawBulletin } from './carry-out'
import { rows } from './rows'

/** Sharing: bulletins, and the record of a machine as a file. */
export const sharingChapter = serverChapter({
  onMachine: { 'read-bulletin': readBulletin },
  onCollection: { 'accept-bulletin': acceptBulletin, 'withdraw-bulletin': withdrawBulletin },
  rows,
})
export * from './archive'
export * from './schema'
export { facts as sharingFacts } from './facts'
export * from './view'
