import type { H3Event } from 'h3'

const scriptTag = /<script(?=[\s>])/g

/** Reading the program that draws pages takes half a second; that is done once while nobody waits for it, in milliseconds after the start. */
const warmAfterMs = 20_000

/**
 * Nuxt starts its pages with small scripts in the page. They carry a word made for this one answer;
 * what the page shows of people's words lies in `body` and is given none.
 */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('render:html', (html, { event }) => {
    const nonce = newNonce()
    const known = (part: string) => part.replace(scriptTag, `<script nonce="${nonce}"`)
    html.head = html.head.map(known)
    html.bodyPrepend = html.bodyPrepend.map(known)
    html.bodyAppend = html.bodyAppend.map(known)
    event.context.nonce = nonce
    event.node.res.setHeader('content-security-policy', policyOf(nonce))
  })
  nitro.hooks.hook('render:response', (response, { event }) => {
    const { drawn, nonce } = (event as H3Event).context as { drawn?: object; nonce?: string }
    if (drawn && nonce && typeof response.body === 'string' && (response.statusCode ?? 200) === 200) rememberPage(drawn, { html: response.body, nonce })
  })
  setTimeout(() => void nitro.localFetch('/passport/nobody', {}).catch(() => undefined), warmAfterMs).unref()
})
