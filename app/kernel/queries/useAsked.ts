/**
 * Something dear that is worked out when somebody asks for it: whether it is under way, what came of it, and that somebody thought better of it.
 * What comes to the page after that is not shown.
 */
export function useAsked<T extends object>(ask: () => Promise<T>) {
  const answer = shallowRef<T>()
  const busy = ref(false)
  const failure = ref('')
  let asked = 0
  async function start() {
    // Its press is not switched off meanwhile, so that whoever works by keys stays on it.
    if (busy.value) return
    const mine = ++asked
    busy.value = true
    failure.value = ''
    try {
      const came = await ask()
      if (mine === asked) answer.value = came
    } catch (error) {
      if (!(error instanceof ApiError)) throw error
      if (mine === asked) failure.value = error.message
    } finally {
      if (mine === asked) busy.value = false
    }
  }
  function stop() {
    asked++
    busy.value = false
  }
  return { answer, busy, failure, start, stop }
}
