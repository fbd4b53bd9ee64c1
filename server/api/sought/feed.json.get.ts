import { getRequestURL, setResponseHeader } from 'h3'
import { soughtFeed, soughtView } from '../../chapters/sought/index'

/** The public list as a JSON feed. */
export default defineAnswer(async event => {
  await publicTurn(event)
  const feed = soughtFeed(await soughtView(useBench()), getRequestURL(event).origin, 'json')
  setResponseHeader(event, 'content-type', 'application/feed+json; charset=utf-8')
  return feed
})
