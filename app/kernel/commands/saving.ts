import { defineStore } from 'pinia'

/** What this page has sent to the bench and not yet heard of: counted, and shown at the top of the page while it lasts. */
export const useSaving = defineStore('saving', () => {
  const { start, finish } = useLoadingIndicator()
  const underWay = ref(0)
  async function during<T>(work: () => Promise<T>): Promise<T> {
    if (!underWay.value++) start()
    try {
      return await work()
    } finally {
      if (!--underWay.value) finish()
    }
  }
  return { underWay, during }
})
