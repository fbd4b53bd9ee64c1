import compression from 'compression'
import { fromNodeMiddleware } from 'h3'

/** Compresses pages and JSON on their way out; a stream of events is not held back for it. Scripts and styles lie compressed already. */
const compress = compression({
  threshold: 1400,
  filter: (request, response) => !String(response.getHeader('content-type') ?? '').startsWith('text/event-stream') && compression.filter(request, response),
})

export default fromNodeMiddleware(compress as never)
