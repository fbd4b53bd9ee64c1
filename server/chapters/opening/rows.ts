import { type RowsOf, all } from '../../kernel/rows'
import { openingSteps } from './schema'

/** In the order of the work, not of writing: steps are put in between. */
export const rows = { openingSteps: all(openingSteps, { orderBy: (t: typeof openingSteps, { asc }: { asc: (column: unknown) => unknown }) => asc(t.step) }) }

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
