import { distance } from 'fastest-levenshtein'

/** A name with everything taken away that people write in different ways: case, accents, spaces, hyphens, dots. */
export const bare = (name: string) =>
  name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '')

/**
 * Names that are probably meant to be the same as the one typed, nearest first; the very same spelling is not among them.
 * One letter in five may differ, but a number never: model 8 is not model 16.
 * Source: Levenshtein distance; the share is common practice, no source.
 */
export function lookAlikes(typed: string, known: readonly string[]): string[] {
  const wanted = bare(typed)
  if (wanted.length < 3) return []
  const numbers = (name: string) => (bare(name).match(/\d+/g) ?? []).join(' ')
  return known
    .filter(name => name.trim() !== typed.trim())
    .map(name => ({ name, off: swapped(wanted, bare(name)) ? 1 : distance(wanted, bare(name)) }))
    .filter(
      ({ name, off }) =>
        off === 0 || (off <= Math.max(wanted.length, bare(name).length) / 5 && numbers(name) === numbers(typed) && endsAlike(wanted, bare(name))),
    )
    .sort((a, b) => a.off - b.off)
    .map(({ name }) => name)
}

/** Two neighbouring letters typed the wrong way round: one slip, not two. */
const swapped = (a: string, b: string) =>
  a.length === b.length && [...a].some((_, i) => a !== b && a.slice(0, i) + (a[i + 1] ?? '') + a[i] + a.slice(i + 2) === b)

/** Board issues differ in a last letter after a number (8 and 8S): those are different models. */
const endsAlike = (a: string, b: string) =>
  /\d[a-z]?$/.test(a) || /\d[a-z]?$/.test(b) ? (/\d[a-z]?$/.exec(a)?.[0] ?? '') === (/\d[a-z]?$/.exec(b)?.[0] ?? '') : true
