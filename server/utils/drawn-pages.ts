/** A page for anybody as it was drawn, and the word that its scripts carried then. */
interface Drawn {
  html: string
  nonce: string
}

/** Drawn when what it shows was made, not whenever somebody looks; gone with that. */
const drawn = new WeakMap<object, Drawn>()

export const rememberPage = (shown: object, page: Drawn): void => void drawn.set(shown, page)

/** The page that shows this, with a word of its own for its scripts; nothing where it has not been drawn. */
export function pageOf(shown: object, nonce: string): string | undefined {
  const page = drawn.get(shown)
  return page?.html.replaceAll(page.nonce, nonce)
}
