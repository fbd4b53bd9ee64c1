import { getRouterParam, sendStream, setResponseHeaders } from 'h3'
import { passportPicture } from '../../../chapters/home/index'
import { copyOf, readCopy } from '../../../files/image-copies'
import { NotFound } from '../../../kernel/refusals'

/** The picture before or after that a passport shows, open to anybody who has its link; without what a camera writes beside a picture. */
export default defineAnswer(async event => {
  await publicTurn(event)
  const hash = passportPicture(useBench(), getRouterParam(event, 'token') ?? '', getRouterParam(event, 'side') ?? '')
  const path = await copyOf(dataFolder(), hash, 'working')
  if (!path) throw new NotFound('There is no such picture on this passport.')
  // What is shown may change, and stops with the passport.
  setResponseHeaders(event, { 'content-type': 'image/jpeg', 'cache-control': 'no-cache' })
  return sendStream(event, readCopy(path))
})
