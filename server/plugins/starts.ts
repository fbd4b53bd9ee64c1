import { eq, isNull } from 'drizzle-orm'
import { machines } from '../kernel/trunk'
import { machineByTag } from '../kernel/sheet'
import { listen } from '../live/hub'
import { breakOff, openStart, starts } from '../chapters/starts/index'
import { carryOutOn } from '../kernel/carry-out'
import { allRunning, close, happen, open, runningOn } from '../chapters/starts/running'
import { useBench } from '../utils/bench'
import { useMeterDesk } from '../utils/meter'

const tickMs = 250
const program = { id: 0, name: 'Jolly Bench' }

/** Runs the starts: each from the moment it was begun until it is ended, with its clock, and with the meter where one is used. */
export default defineNitroPlugin(nitro => {
  const bench = useBench()
  const { db } = bench
  for (const { tag } of db
    .select({ tag: machines.tag })
    .from(starts)
    .innerJoin(machines, eq(machines.id, starts.machineId))
    .where(isNull(starts.endedAt))
    .all())
    carryOutOn(bench, program, tag, breakOff)

  const nowMs = () => bench.now().getTime()
  listen(({ tags, kinds }) => {
    for (const tag of kinds.some(kind => kind.startsWith('start.')) ? tags : []) {
      const ended = runningOn(tag)
      if (kinds.includes('start.ended') && ended) close(ended.row.id, nowMs())
      const row = kinds.includes('start.begun') ? openStart(db, machineByTag(db, tag).id) : undefined
      if (!row) continue
      open(row, tag)
      if (row.plan.byMeter) void useMeterDesk().follow(row.id)
    }
  })
  const clock = setInterval(() => {
    for (const { row, run } of allRunning()) if (run.phase !== 'ready' && run.phase !== 'off') happen(row.id, { do: 'tick' }, nowMs())
  }, tickMs)
  nitro.hooks.hook('close', () => clearInterval(clock))
})
