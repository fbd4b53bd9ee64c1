import { randomBytes } from 'node:crypto'

/** A word made for one answer (Content Security Policy 3, nonce-source). */
export const newNonce = () => randomBytes(16).toString('base64')

/** Nothing is loaded from elsewhere, and no script in a page runs unless this answer brought it itself. */
export const policyOf = (nonce: string) =>
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
