import { settleMissing } from '../kernel/caretaker'
import { useBench } from '../utils/bench'

/** Opens the database before the first request, so that a refusal is seen at once and not by a visitor. */
export default defineNitroPlugin(nitro => {
  try {
    const { db, caretaker, ...bench } = useBench()
    const settled = settleMissing({ db, ...bench })
    if (settled) console.log(`Settled ${settled} machines that had no summary yet.`)
    caretaker.wake()
    nitro.hooks.hook('close', () => {
      caretaker.stop()
      db.$client.close()
    })
  } catch (error) {
    console.error(error instanceof Error ? error.message : error)
    process.exit(1)
  }
})
