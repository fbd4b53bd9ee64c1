import { getRouterParam, sendStream, setResponseHeaders } from 'h3'
import { soughtPicture } from '../../../chapters/sought/index'
import { copyOf, readCopy } from '../../../files/image-copies'
import { NotFound } from '../../../kernel/refusals'

/** The picture beside a part that is sought; without what a camera writes beside a picture. */
export default defineAnswer(async event => {
  await publicTurn(event)
  const path = await copyOf(dataFolder(), soughtPicture(useBench().db, getRouterParam(event, 'key') ?? ''), 'working')
  if (!path) throw new NotFound('There is no such picture on the list.')
  setResponseHeaders(event, { 'content-type': 'image/jpeg', 'cache-control': 'no-cache' })
  return sendStream(event, readCopy(path))
})
