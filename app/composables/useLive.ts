import { useEventListener, useEventSource } from '@vueuse/core'
import type { LiveChange } from '#shared/contracts/views'

/** Listens for changes that others make, and looks again at what they touched. After a lost connection it looks at everything. */
export function useLive() {
  const machines = useMachines()
  const { status, data, event, open, close } = useEventSource('/api/live', ['change', 'ping'] as const, { autoReconnect: { retries: -1, delay: 1000 } })
  const wasLost = ref(false)

  // A page that the browser keeps for going back would hold its connection, and browsers allow few to one server.
  useEventListener(window, 'pagehide', close)
  useEventListener(window, 'pageshow', (shown) => {
    if (shown.persisted) open()
  })

  watch(status, (now, before) => {
    if (before === 'OPEN') wasLost.value = true
    if (now === 'OPEN' && wasLost.value) void machines.lookAgain()
  })
  watch([event, data], () => {
    if (event.value !== 'change' || !data.value) return
    const { tag } = JSON.parse(data.value) as LiveChange
    void machines.lookAgain(tag)
  })
  return { connected: computed(() => status.value === 'OPEN' || !wasLost.value) }
}
