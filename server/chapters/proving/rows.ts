import { type RowsOf, running } from '../../kernel/rows'
import { signOffs } from './schema'

/** The sign-offs that stand; a new one ends those before it. */
export const rows = { signOffs: running(signOffs) }
export type ProvingRows = RowsOf<typeof rows>
