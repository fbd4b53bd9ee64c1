import { listen } from '../live/hub'
import { fillOutbox } from '../outbox/outbox'
import { dataFolder, useBench } from '../utils/bench'

/** Fills the outbox at the start and whenever a letter was written; one after the other, so that none is written twice. */
export default defineNitroPlugin(() => {
  const { db, now, announce } = useBench()
  let last = Promise.resolve()
  const fill = (then: () => void) =>
    (last = last
      .then(() => fillOutbox(db, dataFolder(), now))
      .then(then)
      .catch(error => console.error(error)))
  void fill(() => {})
  listen(change => {
    if (change.kinds.some(kind => kind === 'owner.written-to' || kind === 'evening.told')) void fill(() => announce({ ...change, kinds: ['letter.sent'] }))
  })
})
