import type { H3Event } from 'h3'
import type { BuyView } from '#shared/chapters/parts/index'
import { buyQuestion, buyView } from '../chapters/parts/index'
import { NotNow } from '../kernel/refusals'

/** What should be bought by now, worked out in a thread. @throws NotNow where there is more than can be weighed */
export async function toBuyNow(event: H3Event): Promise<BuyView> {
  const { db, now } = useBench()
  const question = await buyQuestion(db)
  const done = await allocations.run({ short: question.input }, leaving(event), await askerOf(event))
  if (!('short' in done)) throw new NotNow('tooLarge' in done ? done.tooLarge : 'It could not be worked out.')
  return buyView(db, question, done.short, now())
}
