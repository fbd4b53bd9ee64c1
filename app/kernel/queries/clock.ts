import { useTimestamp } from '@vueuse/core'
import { defineStore } from 'pinia'

/** The time of the server, as far as this page knows it: a bench computer's own clock may be off by hours. */
export const useClock = defineStore('clock', () => {
  const own = useTimestamp({ interval: 5_000 })
  const aheadMs = ref(0)
  return {
    /** What time it is, to within some seconds; it goes on by itself. */
    now: computed(() => new Date(own.value + aheadMs.value)),
    /** The server has said what time it is. */
    heard(serverTime: string | null | undefined) {
      const at = serverTime ? Date.parse(serverTime) : Number.NaN
      // Small differences are the way of the answer, and would only make figures jump.
      if (!Number.isNaN(at) && Math.abs(at - Date.now() - aheadMs.value) > 1_500) aheadMs.value = at - Date.now()
    },
  }
})
