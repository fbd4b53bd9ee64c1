import { serverChapter } from '../../kernel/chapter'
import { addSupply, changeSupply } from './carry-out'

/** Supplies: what can be done, with its rules in the core. */
export const suppliesChapter = serverChapter({ onCollection: { 'add-supply': addSupply, 'change-supply': changeSupply } })
export * from './carry-out'
export * from './schema'
