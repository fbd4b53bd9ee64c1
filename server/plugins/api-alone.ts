/**
 * A path of the interface that knows other methods falls through to the pages, which answer everything; they do not answer for it.
 * What no handler knows at all is answered by `api/[...unknown].ts`.
 */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('render:response', (response, { event }) => {
    if (!event.path.startsWith('/api/')) return
    response.statusCode = 405
    response.statusMessage = 'Method Not Allowed'
    response.headers = { 'content-type': 'application/json' }
    response.body = JSON.stringify({ error: { code: 'wrong-method', message: `${event.method} is not answered here.` } })
  })
})
