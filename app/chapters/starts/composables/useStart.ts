import { useEventSource, useEventListener } from '@vueuse/core'
import type { StartSample } from '#core/power/start-watch'
import type { StartFrame } from '#shared/chapters/starts/index'

/** One start as it runs: every picture of it that the server sends, and the ways to tell the server something. */
export function useStart(tag: () => string) {
  const api = useApi()
  const frame = shallowRef<StartFrame>()
  const samples = shallowRef<StartSample[]>([])
  /** How far this page's clock is behind that of the server. */
  const behindMs = ref(0)
  const trouble = ref('')
  const { status, data, event, close, open } = useEventSource(() => `/api/live?start=${encodeURIComponent(tag())}`, ['start'] as const, {
    autoReconnect: { retries: -1, delay: 500 },
  })
  useEventListener(window, 'pagehide', close)
  useEventListener(window, 'pageshow', shown => shown.persisted && open())

  watch([event, data], () => {
    if (event.value !== 'start' || !data.value) return
    const next = JSON.parse(data.value) as StartFrame
    behindMs.value = next.nowMs - Date.now()
    samples.value = next.first ? next.fresh : [...samples.value.slice(0, Math.max(0, next.count - next.fresh.length)), ...next.fresh]
    frame.value = next
  })

  /** @returns whether it was taken */
  async function tell(what: Record<string, unknown>): Promise<boolean> {
    trouble.value = ''
    try {
      await api.send(`/api/machines/${encodeURIComponent(tag())}/start`, what)
      return true
    } catch (error) {
      trouble.value = (error as Error).message
      return false
    }
  }
  return { frame, samples, behindMs, trouble, tell, connected: computed(() => status.value === 'OPEN') }
}
