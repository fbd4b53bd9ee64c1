import { getRouterParam } from 'h3'
import { passportOf } from '../../../chapters/home/index'

/** Open to anybody who has the link. */
export default defineAnswer(async event => {
  await publicTurn(event)
  return passportOf(useBench(), getRouterParam(event, 'token') ?? '')
})
