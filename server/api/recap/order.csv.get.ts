import { recapOrderCsv } from '../../chapters/recap/index'

/** The same order as CSV, a line a purchase. */
export default defineAnswer(async event => {
  await requirePerson(event)
  csvNamed(event, 'order', useBench().now())
  return '\uFEFF' + recapOrderCsv(await recapOrderOf(event))
})
