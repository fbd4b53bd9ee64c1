/** A fault of the collection whose end is known, as far as it helps with others. */
export interface EndedFault {
  symptoms: readonly string[]
  /** In a few words, as it was written; empty where nobody found it. */
  cause: string
  machine: string
}
export interface LikelyCause {
  cause: string
  /** Of so many ended faults with a symptom in common, it was the cause of so many. */
  right: number
  of: number
  machines: string[]
}

const plain = (words: string) =>
  words
    .trim()
    .toLowerCase()
    .replace(/[\s.]+/g, ' ')
    .trim()

/**
 * Causes of earlier faults that share a symptom, with how often each was right; the most frequent first. It is a count, no probability.
 * @param symptoms of the fault at hand; without any, every ended fault counts
 */
export function likelyCauses(symptoms: readonly string[], ended: readonly EndedFault[]): LikelyCause[] {
  const alike = ended.filter(f => f.cause.trim() && (!symptoms.length || f.symptoms.some(s => symptoms.includes(s))))
  const by = new Map<string, LikelyCause>()
  for (const { cause, machine } of alike) {
    const found = by.get(plain(cause)) ?? { cause: cause.trim(), right: 0, of: alike.length, machines: [] }
    found.right++
    if (!found.machines.includes(machine)) found.machines.push(machine)
    by.set(plain(cause), found)
  }
  return [...by.values()].sort((a, b) => b.right - a.right || a.cause.localeCompare(b.cause))
}

/** Whether a code stands in what was written, as a word or words of its own: `12` is not in `128`. */
export function mentions(text: string, code: string): boolean {
  const [where, what] = [text.toLowerCase(), code.trim().toLowerCase()]
  if (!what) return false
  const letter = (c: string | undefined) => c !== undefined && /[\p{L}\p{N}]/u.test(c)
  for (let at = where.indexOf(what); at >= 0; at = where.indexOf(what, at + 1)) if (!letter(where[at - 1]) && !letter(where[at + what.length])) return true
  return false
}
