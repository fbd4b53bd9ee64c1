import { useEventSource } from '@vueuse/core'
import type { LiveChange } from '#shared/contracts/views'

/** Listens for changes that others make, and looks again at what they touched. After a lost connection it looks at everything. */
export function useLive() {
  const machines = useMachines()
  const { status, data, event } = useEventSource('/api/live', ['change', 'ping'] as const, { autoReconnect: { retries: -1, delay: 1000 } })
  const wasLost = ref(false)

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
