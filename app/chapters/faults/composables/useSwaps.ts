import type { SwapInput, SwapResult } from '#core/diagnosis/swap'
import type { SwapBench } from '~/workers/swap.worker'
import SwapWorker from '~/workers/swap.worker?worker'

/**
 * What explains every test, weighed beside the page; the newest question alone is answered. While one is `weighing`, the
 * result that stands is of the tests before: it may be read, and nothing is taken from it.
 */
export function useSwaps(input: () => SwapInput | undefined) {
  const newest = shallowRef<SwapResult>()
  const { busy: weighing, trouble, run, end } = useBeside<SwapBench>(() => new SwapWorker(), { keeps: true })
  async function reason(now: SwapInput | undefined) {
    if (!now) {
      end()
      newest.value = undefined
      return
    }
    await run(
      // What is reactive does not cross to a worker.
      bench => bench.reason(JSON.parse(JSON.stringify(now)) as SwapInput),
      found => (newest.value = found),
    )
  }
  onMounted(() => watch(input, reason, { immediate: true, deep: true }))
  return { result: computed(() => (trouble.value ? undefined : newest.value)), weighing, trouble }
}
