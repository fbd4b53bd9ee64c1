import type { RunningStart } from '#shared/chapters/starts/index'
import { allRunning } from '../../chapters/starts/running'

/** The starts that run at this moment, whichever machine. */
export default defineAnswer(async (event): Promise<RunningStart[]> => {
  await requirePerson(event)
  return allRunning().map(({ tag, row }) => ({ tag, atProbe: row.atProbe, atSwitch: row.atSwitch }))
})
