/** Worked out when it is asked for first, and kept. */
export function once<T>(work: () => T): () => T {
  let kept: { value: T } | undefined
  return () => (kept ??= { value: work() }).value
}
