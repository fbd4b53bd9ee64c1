import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { dropList, keepList } from './carry-out'

/** Lists that are kept under a name. */
export const listsChapter = serverChapter({ name: 'lists', schema, onCollection: { 'keep-list': keepList, 'drop-list': dropList } })
export * from './schema'
export * from './list-counts'
export * from './list-csv'
export * from './list-machines'
