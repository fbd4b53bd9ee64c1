import { useEventListener, useEventSource } from '@vueuse/core'
import type { LiveChange } from '#shared/kernel/answers'

/** Listens for changes that others make, and takes them in. After a lost connection everything is looked at again. */
export function useLive() {
  const changes = useChanges()
  const clock = useClock()
  const { status, data, event, open, close } = useEventSource('/api/live', ['change', 'ping'] as const, { autoReconnect: { retries: -1, delay: 1000 } })
  const wasLost = ref(false)
  /** When it was last there, while it is not: what is shown is of that moment. */
  const lostAt = ref<string>()
  const outbox = useOutbox()

  // A page that the browser keeps for going back would hold its connection, and browsers allow few to one server.
  useEventListener(window, 'pagehide', close)
  useEventListener(window, 'pageshow', shown => {
    if (shown.persisted) open()
  })

  watch(status, (now, before) => {
    if (before === 'OPEN') [wasLost.value, lostAt.value] = [true, clock.now.toISOString()]
    if (now !== 'OPEN') return
    lostAt.value = undefined
    if (wasLost.value) void changes.lookAgain()
    // What earlier pages left goes too.
    void outbox.send()
  })
  watch(
    [event, data],
    () => {
      if (!data.value) return
      if (event.value === 'ping') return clock.heard(data.value)
      void changes.take(JSON.parse(data.value) as LiveChange)
    },
    { flush: 'sync' },
  )
  return { connected: computed(() => status.value === 'OPEN' || !wasLost.value), lostAt }
}
