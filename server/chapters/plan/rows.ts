import { type RowsOf, running } from '../../kernel/rows'
import { eveningJobs } from './schema'

export const rows = { jobs: running(eveningJobs) }
export type PlanRows = RowsOf<typeof rows>
