/**
 * A function that remembers what it gave, for arguments that come again and again. What it gives is not to be changed by anybody.
 * @param keyOf what tells one argument from another
 * @param most so many are remembered; the one that was asked for longest ago goes first
 */
export function remembered<A, R>(work: (argument: A) => R, keyOf: (argument: A) => string, most: number): (argument: A) => R {
  const known = new Map<string, R>()
  return argument => {
    const key = keyOf(argument)
    const before = known.get(key)
    const result = before === undefined ? work(argument) : before
    known.delete(key)
    known.set(key, result)
    if (known.size > most) known.delete(known.keys().next().value!)
    return result
  }
}
