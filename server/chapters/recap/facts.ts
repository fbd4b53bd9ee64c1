import type { RecapRecord } from '#core/parts/recap/rules'
import type { MachineFile } from '../../kernel/file'

/** What the core is told of its capacitors, of the school that holds for it, and whether it was started. */
export const facts = ({ capacitors, practice, recapSchools, startRuns }: MachineFile): RecapRecord => ({
  capacitors,
  capacitorSchool: recapSchools?.school ?? practice.capacitorSchool,
  started: startRuns.some(run => run.onSeconds > 0),
})
