import { getRouterParam } from 'h3'
import { passportOf } from '../../services/queries'

/** Open to anybody who has the link. */
export default defineAnswer((event) => {
  const { db, now } = useBench()
  return passportOf(db, now(), getRouterParam(event, 'token') ?? '')
})
