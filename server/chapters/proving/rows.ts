import { type RowsOf, all, running } from '../../kernel/rows'
import { signOffs, soaks } from './schema'

/** The sign-offs that stand, a new one ends those before it; and every soak. */
export const rows = { signOffs: running(signOffs), soaks: all(soaks) }
export type ProvingRows = RowsOf<typeof rows>
