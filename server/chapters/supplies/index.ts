import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { supplies } from './schema'
import { addSupply, changeSupply } from './carry-out'

/** Supplies: what can be done, with its rules in the core. */
export const suppliesChapter = serverChapter({
  name: 'supplies',
  rests: { supply: { table: supplies, of: ({ power }) => power.supplyId } },
  schema,
  onCollection: { 'add-supply': addSupply, 'change-supply': changeSupply },
})
export * from './carry-out'
export * from './schema'

declare module '../../kernel/file' {
  interface MachineFile {
    /** The supply of the collection that it runs from. */
    supply: typeof supplies.$inferSelect | null
  }
}
