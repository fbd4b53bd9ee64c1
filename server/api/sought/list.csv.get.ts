import { soughtCsv, soughtView } from '../../chapters/sought/index'

/** The public list as CSV. */
export default defineAnswer(async event => {
  await publicTurn(event)
  const bench = useBench()
  const view = await soughtView(bench)
  csvNamed(event, 'sought', bench.now())
  return '\uFEFF' + soughtCsv(view)
})
