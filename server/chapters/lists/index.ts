import { serverChapter } from '../../kernel/chapter'
import { dropList, keepList } from './carry-out'

/** Lists that are kept under a name. */
export const listsChapter = serverChapter({ onCollection: { 'keep-list': keepList, 'drop-list': dropList } })
export * from './schema'
