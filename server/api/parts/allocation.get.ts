import { formatISO } from 'date-fns'
import { getQuery } from 'h3'
import { allocationView, toWeigh, unlockView } from '../../chapters/parts/index'
import { NotNow } from '../../kernel/refusals'

/** Who gets what of the parts, so that most comes to life; with `buys`, what should be bought as well. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const buys = getQuery(event).buys === 'yes'
  const { db, now } = useBench()
  const weighed = await toWeigh(db, formatISO(now(), { representation: 'date' }))
  const done = await allocations.run({ question: weighed.question, buys }, leaving(event), await askerOf(event))
  if ('tooLarge' in done) throw new NotNow(done.tooLarge)
  if (!('allocation' in done)) throw new Error('The thread answered another question.')
  return { allocation: allocationView(weighed, done.allocation), ...(buys ? { one: unlockView(weighed, done.one), two: unlockView(weighed, done.two) } : {}) }
})
