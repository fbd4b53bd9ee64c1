import type { Passport } from '#shared/chapters/home/index'

/** A page of a passport as it was drawn, and the word that its scripts carried then. */
interface Drawn {
  html: string
  nonce: string
}

/** Drawn when a passport was made, not whenever somebody looks; gone with the passport. */
const drawn = new WeakMap<Passport, Drawn>()

export const rememberPage = (passport: Passport, page: Drawn): void => void drawn.set(passport, page)

/** The page of this passport with a word of its own for its scripts; nothing where it has not been drawn. */
export function pageOf(passport: Passport, nonce: string): string | undefined {
  const page = drawn.get(passport)
  return page?.html.replaceAll(page.nonce, nonce)
}
