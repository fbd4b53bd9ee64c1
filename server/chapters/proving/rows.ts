import { type RowsOf, all, running } from '../../kernel/rows'
import { buildUps, signOffs, soaks, testSheets } from './schema'

/** The sign-offs that stand, a new one ends those before it; every soak, test sheet and build-up. */
export const rows = { signOffs: running(signOffs), soaks: all(soaks), buildUps: all(buildUps), testSheets: all(testSheets) }
export type ProvingRows = RowsOf<typeof rows>
