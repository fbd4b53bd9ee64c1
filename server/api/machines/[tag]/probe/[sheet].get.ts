import { getRouterParam } from 'h3'
import { probeSheetOf } from '../../../../chapters/continuity/index'

/** A probe sheet with all its checks. */
export default defineAnswer(async event => {
  const person = await requirePerson(event)
  const tag = getRouterParam(event, 'tag', { decode: true }) ?? ''
  return probeSheetOf(useBench().db, tag, Number(getRouterParam(event, 'sheet')), person.id)
})
