import { getRouterParam } from 'h3'
import { StartEventTyped } from '#shared/chapters/starts/index'
import { NotNow } from '../../../kernel/refusals'
import { happen, runningOn } from '../../../chapters/starts/running'

/** What somebody at the machine does or sees during its start. */
export default defineAnswer(async event => {
  await requireLeave(event, 'begin-start')
  const said = await readInput(event, StartEventTyped)
  const one = runningOn(getRouterParam(event, 'tag', { decode: true }) ?? '')
  if (!one) throw new NotNow('No start of this machine is running.')
  happen(one.row.id, said, useBench().now().getTime())
  return { done: said.do }
})
