import type { H3Event } from 'h3'
import { getQuery } from 'h3'
import { RecapOrderQuery, type RecapOrderView } from '#shared/chapters/recap/index'
import { recapOrderView, recapQuestion } from '../chapters/recap/index'
import { NotNow } from '../kernel/refusals'

/** The order that was asked for, weighed in a thread. @throws NotNow where there is more than can be weighed */
export async function recapOrderOf(event: H3Event): Promise<RecapOrderView> {
  const { db, now } = useBench()
  const question = recapQuestion(db, RecapOrderQuery.parse(getQuery(event)))
  const done = await orders.run(question.input, leaving(event), await askerOf(event))
  if ('tooLarge' in done) throw new NotNow(done.tooLarge)
  return recapOrderView(db, question, done.order, now())
}
