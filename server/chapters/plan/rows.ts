import { type RowsOf, running } from '../../kernel/rows'
import { eveningJobs } from './schema'

export const rows = { jobs: running(eveningJobs) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
