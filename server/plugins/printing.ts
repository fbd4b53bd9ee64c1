import { v7 as uuidv7 } from 'uuid'
import { listen } from '../live/hub'
import { anythingWaits, forgetPrinted, holdUnfinished, workQueue } from '../chapters/printing/queue'
import { useBench } from '../utils/bench'
import { labels } from '../utils/pools'

const everyMs = 3000

/** Works the queue of labels off: at once when some are laid into it, and again while some wait. One look at a time. */
export default defineNitroPlugin(nitro => {
  const bench = useBench()
  holdUnfinished(bench)
  const closing = new AbortController()
  let working = false
  async function work() {
    if (working || !anythingWaits(bench)) return
    working = true
    try {
      if (await workQueue(bench, (label, size, format) => labels.run({ label, size, format }, closing.signal))) {
        forgetPrinted(bench)
        bench.announce({ id: uuidv7(), at: bench.now().toISOString(), by: '', kinds: ['labels.looked'], tags: [], collection: false, machines: [] })
      }
    } catch (error) {
      console.error(error)
    } finally {
      working = false
    }
  }
  const clock = setInterval(() => void work(), everyMs)
  listen(change => {
    if (change.kinds.some(kind => kind === 'labels.queued' || kind === 'label.again' || kind === 'printer.set')) void work()
  })
  nitro.hooks.hook('close', () => {
    clearInterval(clock)
    closing.abort()
  })
})
