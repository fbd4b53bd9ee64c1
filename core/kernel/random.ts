/**
 * Random numbers from 0 up to, not including, 1; the same seed gives the same row of them.
 * Source: the mulberry32 generator by Tommy Ettinger, public domain.
 */
export function seeded(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}
