import { moneyCsv, moneyView } from '../../chapters/parts/index'

/** The same as CSV. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const { db, now } = useBench()
  csvNamed(event, 'money', now())
  return '\uFEFF' + moneyCsv(moneyView(db))
})
