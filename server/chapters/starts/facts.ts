import { alarmsOfRuns, witnessed } from '#core/power/noticed'
import type { PowerRecord } from '#core/power/rules'
import type { MachineFile } from '../../kernel/file'

/** What the core is told of its starts: what called their runs off. */
export const startAlarmsOf = ({ startRuns }: MachineFile): PowerRecord['startAlarms'] => startRuns.flatMap(run => alarmsOfRuns([run], run.at))

/** What was noticed in them. */
export const witnessedOf = ({ startRuns }: MachineFile) => startRuns.flatMap(run => witnessed([run], run.at))
