/** What was given beside what a schema knows: the path of the first key that would be dropped unread. */
export function unknownKey(given: unknown, known: unknown, path: string[] = []): string[] | undefined {
  if (given === null || typeof given !== 'object' || known === null || typeof known !== 'object') return undefined
  // Lines that were left empty have been left out; the others stand elsewhere now.
  if (Array.isArray(given) && Array.isArray(known) && given.length !== known.length) return undefined
  for (const [key, inside] of Object.entries(given)) {
    // What says nothing is lost by nobody: forms send their empty fields too.
    if (inside === undefined || inside === null || (typeof inside === 'string' && !inside.trim())) continue
    if (!(key in known)) return [...path, key]
    const deeper = unknownKey(inside, (known as Record<string, unknown>)[key], [...path, key])
    if (deeper) return deeper
  }
  return undefined
}
