import { type RowsOf, all } from '../../kernel/rows'
import { startRuns } from './schema'

/** The runs of its starts, without their traces: those are looked at alone. */
export const rows = { startRuns: all(startRuns, { columns: { samples: false } }) }
type Row = RowsOf<typeof rows>['startRuns'][number]
interface StartsRows {
  startRuns: Omit<Row, 'samples'>[]
}

declare module '../../kernel/file' {
  interface MachineFile extends StartsRows {}
}
