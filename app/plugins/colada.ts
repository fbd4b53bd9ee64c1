import { PiniaColada } from '@pinia/colada'

/**
 * What was asked of the server is kept and shared between places. It goes stale by what the server tells, not by time;
 * pages that come back after the connection was lost ask anew.
 */
export default defineNuxtPlugin(({ vueApp }) => {
  vueApp.use(PiniaColada, { queryOptions: { staleTime: Infinity, gcTime: 60_000, refetchOnWindowFocus: false, refetchOnReconnect: false } })
})
