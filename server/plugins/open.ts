import { lockFolder } from '../db/lock'
import { expectFolder } from '../db/expect-ours'
import { onlyOurs } from '../db/only-ours'
import { sweepUnfinished } from '../files/image-file'
import { settleMissing } from '../kernel/settling/caretaker'
import { minutesBehind } from '../kernel/history/clock-behind'
import { listenToFormer } from '../kernel/history/ear'
import { dataFolder, useBench } from '../utils/bench'
import { endClearedSessions } from '../utils/sessions'

const shortestSecret = 32

/** Opens the database before the first request, so that a refusal is seen at once and not by a visitor. */
export default defineNitroPlugin(nitro => {
  try {
    if ((process.env.NUXT_SESSION_PASSWORD ?? '').length < shortestSecret)
      throw new Error(`NUXT_SESSION_PASSWORD is missing, or shorter than ${shortestSecret} characters. Start with npm start, which makes one.`)
    expectFolder(dataFolder())
    onlyOurs(dataFolder())
    const unlock = lockFolder(dataFolder())
    sweepUnfinished(dataFolder())
    const { db, caretaker, ...bench } = useBench()
    listenToFormer(db)
    const settled = settleMissing({ db, ...bench })
    if (settled) console.log(`Settled ${settled} machines that had no summary yet.`)
    const behind = minutesBehind(db, bench.now())
    if (behind)
      console.error(`The clock of this computer stands ${behind} minutes behind the newest entry. Put it right: waits and dates are wrong until then.`)
    endClearedSessions()
    caretaker.wake()
    nitro.hooks.hook('close', () => {
      caretaker.stop()
      db.$client.close()
      unlock()
    })
  } catch (error) {
    console.error(error instanceof Error ? error.message : error)
    process.exit(1)
  }
  // Whoever started it is gone, be it without a word: nobody would end it any more.
  const end = () => process.kill(process.pid, 'SIGTERM')
  if (process.connected === false) end()
  else process.once('disconnect', end)
})
