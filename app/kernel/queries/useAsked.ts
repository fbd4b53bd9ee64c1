/**
 * Something dear that is worked out when somebody asks for it: whether it is under way, what came of it, and that somebody thought better of it.
 * The request ends with that, or with the page, so that nobody works it out any more.
 */
export function useAsked<T extends object>(ask: (signal: AbortSignal) => Promise<T>) {
  const answer = shallowRef<T>()
  const busy = ref(false)
  const failure = ref('')
  let asked = 0
  let under = new AbortController()
  async function start() {
    // Its press is not switched off meanwhile, so that whoever works by keys stays on it.
    if (busy.value) return
    const mine = ++asked
    busy.value = true
    failure.value = ''
    const { signal } = (under = new AbortController())
    try {
      const came = await ask(signal)
      if (mine === asked) answer.value = came
    } catch (error) {
      if (signal.aborted) return
      if (!(error instanceof ApiError)) throw error
      if (mine === asked) failure.value = error.message
    } finally {
      if (mine === asked) busy.value = false
    }
  }
  function stop() {
    asked++
    busy.value = false
    under.abort()
  }
  onScopeDispose(stop)
  return { answer, busy, failure, start, stop }
}
