import { getRouterParam, sendStream, setResponseHeaders } from 'h3'
import type { PhotographSize } from '#shared/chapters/look/index'
import { copyOf, readCopy } from '../../../files/image-copies'
import { NotFound } from '../../../kernel/refusals'

/** A copy of a photograph. What a hash names never changes, so that a browser may keep it. */
export default defineAnswer(async event => {
  await requirePerson(event)
  const path = await copyOf(dataFolder(), getRouterParam(event, 'hash') ?? '', getRouterParam(event, 'size') as PhotographSize)
  if (!path) throw new NotFound('There is no such photograph; if it was there, its file is lost. A backup may have it.')
  setResponseHeaders(event, { 'content-type': 'image/jpeg', 'cache-control': 'private, max-age=31536000, immutable' })
  return sendStream(event, readCopy(path))
})
