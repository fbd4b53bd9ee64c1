import { type RowsOf, all } from '../../kernel/rows'
import { patches, probeSheets } from './schema'

export const rows = { probeSheets: all(probeSheets), patches: all(patches) }
export type ContinuityRows = RowsOf<typeof rows>
