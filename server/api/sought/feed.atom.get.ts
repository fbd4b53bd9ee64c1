import { getRequestURL, setResponseHeader } from 'h3'
import { soughtFeed, soughtView } from '../../chapters/sought/index'

/** The public list as Atom. */
export default defineAnswer(async event => {
  await publicTurn(event)
  const feed = soughtFeed(await soughtView(useBench()), getRequestURL(event).origin, 'atom')
  setResponseHeader(event, 'content-type', 'application/atom+xml; charset=utf-8')
  return feed
})
