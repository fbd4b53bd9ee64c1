/**
 * Private words in what people typed: a name that was marked private where it is kept stands in no sentence that anybody may read, whoever wrote it
 * there. It is a net under the declarations of what is public, and no more than that: what nobody marked cannot be known.
 */
export type PrivateWordKind = 'person' | 'owner' | 'giver' | 'place'
export interface PrivateWord {
  word: string
  kind: PrivateWordKind
}

const instead: Readonly<Record<PrivateWordKind, string>> = { person: 'somebody', owner: 'the owner', giver: 'whoever gave it', place: 'a place' }
/** Of a name of several words, each is known too; shorter ones are mostly words. */
const shortestPart = 3
/** More than a machine can have gathered, and still read in no time. */
const mostWords = 2000

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
/** A word however its spaces, hyphens and quotes are set. */
const pattern = (word: string): string =>
  word
    .trim()
    .split(/\s+/)
    .map(part =>
      escaped(part)
        .replace(/['’ʼ`]/g, "['’ʼ`]")
        .replace(/-/g, '[-‐‑–]'),
    )
    .join('[\\s\\u00A0]+')
const bounded = (inside: string, flags: string) => new RegExp(`(?<![\\p{L}\\p{N}])(?:${inside})(?:['’]s)?(?![\\p{L}\\p{N}])`, flags)

/** The words of a name that are looked for on their own: those of a person that begin with a capital. */
const partsOf = ({ word, kind }: PrivateWord): string[] =>
  kind === 'person' ? word.split(/[\s-]+/).filter(part => part.length >= shortestPart && /^\p{Lu}/u.test(part)) : []
const articles = /^(the|a|an)\s+/i

/**
 * What takes private words out of a text.
 * @param words as they are kept
 * @param everyday words of the program itself, which a place may be called by: they are nobody's secret
 */
export function withoutPrivate(words: readonly PrivateWord[], everyday: readonly string[] = []): (text: string) => string {
  const common = new Set(everyday.map(word => word.toLowerCase()))
  const known = new Map<string, PrivateWordKind>()
  for (const { word, kind } of words.slice(0, mostWords)) {
    const whole = word.normalize('NFC').trim()
    for (const one of [whole, whole.replace(articles, '')]) if (one.length >= 2 && !common.has(one.toLowerCase()) && !known.has(one)) known.set(one, kind)
  }
  if (!known.size) return text => text
  const longestFirst = [...known].sort(([a], [b]) => b.length - a.length)
  const kinds = [...new Set(known.values())]
  const wholes = kinds.map(kind => ({
    kind,
    found: bounded(
      `(?:the\\s+)?(?:${longestFirst
        .filter(([, k]) => k === kind)
        .map(([word]) => pattern(word))
        .join('|')})`,
      'giu',
    ),
  }))
  const parts = [...new Set(words.slice(0, mostWords).flatMap(partsOf))].filter(part => !common.has(part.toLowerCase()))
  const partly = parts.length ? bounded(parts.map(pattern).join('|'), 'gu') : null
  return text => {
    const told = wholes.reduce((left, { kind, found }) => left.replace(found, instead[kind]), text.normalize('NFC'))
    return partly ? told.replace(partly, instead.person) : told
  }
}
