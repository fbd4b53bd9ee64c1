/** What a code on a label names: a machine, a line of the ledger, or a place where parts lie. */
export type Coded = { what: 'machine'; tag: string } | { what: 'part'; uid: string } | { what: 'place'; name: string }

/** The path that a code opens, which is also what it holds behind the address of the bench. */
export function codePath(coded: Coded): string {
  if (coded.what === 'machine') return `/m/${encodeURIComponent(coded.tag)}`
  return coded.what === 'part' ? `/parts/part/${coded.uid}` : `/parts/place/${encodeURIComponent(coded.name)}`
}

const uidPattern = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i
/** Longer texts are on no label of ours. */
const longest = 2000

/**
 * What a code names. Its address is not asked: a label may have been printed under another one, and wherever a code comes from, it opens a page of
 * this bench and nothing else.
 * @returns nothing for a code that is none of ours
 */
export function readCode(text: string): Coded | null {
  if (text.length > longest) return null
  let path: string
  try {
    const url = new URL(text.trim())
    if (url.protocol !== 'http:' && url.protocol !== 'https:') return null
    path = decodeURIComponent(url.pathname)
  } catch {
    return null
  }
  const [, first = '', second = '', ...rest] = path.split('/')
  const third = rest.join('/').trim()
  if (first === 'm' && second && !third) return { what: 'machine', tag: second }
  if (first === 'parts' && second === 'part' && uidPattern.test(third)) return { what: 'part', uid: third.toLowerCase() }
  if (first === 'parts' && second === 'place' && third && third.length <= 120) return { what: 'place', name: third }
  return null
}
