import { type RowsOf, all, running } from '../../kernel/rows'
import { buildUps, signOffs, soaks, testSheets } from './schema'

/** The sign-offs that stand, a new one ends those before it; every soak, test sheet and build-up. */
export const rows = { signOffs: running(signOffs), soaks: all(soaks), buildUps: all(buildUps), testSheets: all(testSheets) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
