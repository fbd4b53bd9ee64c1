import { getRouterParam } from 'h3'
import { captureText } from '../../../../chapters/faults/index'

/** A capture as it was kept with an attempt. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return { text: captureText(useBench().db, getRouterParam(event, 'tag', { decode: true }) ?? '', Number(getRouterParam(event, 'id'))) }
})
