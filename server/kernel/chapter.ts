import type { PrivateWord } from '#core/sharing/private-words'
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core'
import type { CollectionCommandName, CommandInput, MachineCommandName } from '#shared/chapters/index'
import type { MachineFile } from './file'
import type { Loaded } from './rows'
import type { MachineWork, Work } from './work'

/** Passwords arrive hashed: hashing takes its time and must not hold a transaction open. */
export type Hashed<I> = I extends { password: string } ? Omit<I, 'password' | 'oldPassword'> & { passwordHash: string } : I
export type CollectionInput<N extends CollectionCommandName> = Hashed<CommandInput<N>>

/** What of a machine is searched, by the weight it has: its names before its faults and claims, these before notes. */
export interface Searched {
  names?: string[]
  claims?: string[]
  notes?: string[]
  faults?: string[]
}

/**
 * A chapter on the server, in the same few files each: `schema` its tables, `rows` what is loaded with a machine,
 * `carry-out` its commands, `facts` what it tells the core, `view` what the sheet shows, `search` what of it is found.
 */
export interface ServerChapter {
  onMachine?: { [N in MachineCommandName]?: (work: MachineWork, input: CommandInput<N>) => unknown }
  onCollection?: { [N in CollectionCommandName]?: (work: Work, input: CollectionInput<N>) => unknown }
  rows?: Record<string, Loaded>
  search?: (file: MachineFile) => Searched
  /** Names that it keeps and that are nobody's outside. */
  privateWords?: (file: MachineFile) => PrivateWord[]
  /** Tables of observations that a correction can take back, by the name that the history knows them under. */
  strikeable?: Record<string, SQLiteTable & { id: SQLiteColumn; struckBy: SQLiteColumn }>
}
export const serverChapter = <const C extends ServerChapter>(declared: C): C => declared
