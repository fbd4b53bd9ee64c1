import type { RecapRecord } from '#core/parts/recap/rules'
import type { MachineFile } from '../../kernel/file'

/** What the core is told of its capacitors, of the practice that holds, and whether it was started. */
export const facts = ({ capacitors, practice, startRuns }: MachineFile): RecapRecord => ({
  capacitors,
  capacitorSchool: practice.capacitorSchool,
  started: startRuns.some(run => run.onSeconds > 0),
})
