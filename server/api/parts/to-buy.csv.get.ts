import { buyCsv } from '../../chapters/parts/index'

/** The same as CSV: what goes with whoever goes shopping. */
export default defineAnswer(async event => {
  await requirePerson(event)
  csvNamed(event, 'to-buy', useBench().now())
  return '\uFEFF' + buyCsv(await toBuyNow(event))
})
