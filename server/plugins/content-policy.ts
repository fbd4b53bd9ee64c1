import { randomBytes } from 'node:crypto'

/** Nothing is loaded from elsewhere, and no script in a page runs unless this answer brought it itself. */
const policyOf = (nonce: string) =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'`,
    // Headless UI and the charts place things by the style attribute.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "object-src 'none'",
    "base-uri 'self'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')

const scriptTag = /<script(?=[\s>])/g

/**
 * Nuxt starts its pages with small scripts in the page. They carry a word made for this one answer (Content Security Policy 3, nonce-source);
 * what the page shows of people's words lies in `body` and is given none.
 */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('render:html', (html, { event }) => {
    const nonce = randomBytes(16).toString('base64')
    const known = (part: string) => part.replace(scriptTag, `<script nonce="${nonce}"`)
    html.head = html.head.map(known)
    html.bodyPrepend = html.bodyPrepend.map(known)
    html.bodyAppend = html.bodyAppend.map(known)
    event.node.res.setHeader('content-security-policy', policyOf(nonce))
  })
})
