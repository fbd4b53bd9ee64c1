import { v7 as uuidv7 } from 'uuid'
import { listen } from '../live/hub'
import { anyLetterWaits, fillOutbox } from '../outbox/outbox'
import { dataFolder, useBench } from '../utils/bench'

/** So long after something kept a letter from being laid (a full disk) it is tried again. */
const againMs = 60_000

/** Fills the outbox at the start and whenever something changed and a letter waits; one after the other, so that none is written twice. */
export default defineNitroPlugin(nitro => {
  const { db, now, announce } = useBench()
  let filling = false
  async function fill() {
    if (filling || !anyLetterWaits(db)) return
    filling = true
    try {
      const about = await fillOutbox(db, dataFolder(), now)
      announce({ id: uuidv7(), at: now().toISOString(), by: '', kinds: ['letter.sent'], ...about, machines: [] })
    } catch (error) {
      console.error(error)
    } finally {
      filling = false
    }
  }
  void fill()
  const again = setInterval(() => void fill(), againMs)
  listen(() => void fill())
  nitro.hooks.hook('close', () => clearInterval(again))
})
