import { alarmsOfRuns, witnessed } from '#core/power/noticed'
import type { PowerRecord } from '#core/power/rules'
import type { SafetyRecord } from '#core/safety/rules'
import type { MachineFile } from '../../kernel/file'

/** What the core is told of its starts: what called their runs off, and what was noticed in them. */
export const facts = ({ startRuns }: MachineFile): Pick<PowerRecord, 'startAlarms'> & Pick<SafetyRecord, 'witnessedAtStarts'> => ({
  startAlarms: startRuns.flatMap(run => alarmsOfRuns([run], run.at)),
  witnessedAtStarts: startRuns.flatMap(run => witnessed([run], run.at)),
})
