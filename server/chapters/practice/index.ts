import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { practice } from './schema'
import { confirmClock, setPractice } from './carry-out'

/** The practice: what can be done, with its rules in the core. */
export const practiceChapter = serverChapter({
  name: 'practice',
  rests: { practice: { table: practice, of: () => 1 } },
  schema,
  onCollection: { 'set-practice': setPractice, 'confirm-clock': confirmClock },
})
export * from './carry-out'
export * from './schema'

declare module '../../kernel/file' {
  interface MachineFile {
    practice: typeof practice.$inferSelect
  }
}
