import type { LiveChange } from '#shared/kernel/answers'

/** Hands every change to whoever is listening; each listener is one open page. */
const listeners = new Set<(change: LiveChange) => void>()

export function listen(listener: (change: LiveChange) => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export function announce(change: LiveChange): void {
  listeners.forEach(listener => listener(change))
}
