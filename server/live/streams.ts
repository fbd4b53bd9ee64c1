/** So many pages of one person hear of changes at once; the page that was opened first gives way to the newest, and asks again when it is looked at. */
const mostOfAPerson = 40

const open = new Map<number, Set<() => void>>()

/** A stream that was opened for somebody. @param close ends it @returns what takes it off the list again */
export function openStream(personId: number, close: () => void): () => void {
  const theirs = open.get(personId) ?? new Set()
  open.set(personId, theirs)
  theirs.add(close)
  if (theirs.size > mostOfAPerson) {
    const [first] = theirs
    theirs.delete(first!)
    first!()
  }
  return () => {
    theirs.delete(close)
    if (!theirs.size) open.delete(personId)
  }
}

/** How many streams are open; for whoever looks whether each is given up again. */
export const openStreams = (): number => [...open.values()].reduce((sum, theirs) => sum + theirs.size, 0)
