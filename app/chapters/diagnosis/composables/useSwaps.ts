import type { SwapInput, SwapResult } from '#core/diagnosis/swap'
import type { SwapBench } from '~/workers/swap.worker'
import SwapWorker from '~/workers/swap.worker?worker'
import { type Remote, wrap } from 'comlink'

/** What explains every test, weighed beside the page; the newest question alone is answered. */
export function useSwaps(input: () => SwapInput | undefined) {
  const result = shallowRef<SwapResult>()
  const trouble = ref('')
  let worker: Worker | undefined
  let bench: Remote<SwapBench> | undefined
  let round = 0
  async function reason(now: SwapInput | undefined) {
    const mine = ++round
    if (!now) return void (result.value = undefined)
    worker ??= new SwapWorker()
    bench ??= wrap<SwapBench>(worker)
    try {
      // What is reactive does not cross to a worker.
      const found = await bench.reason(JSON.parse(JSON.stringify(now)) as SwapInput)
      if (mine === round) [result.value, trouble.value] = [found, '']
    } catch (error) {
      if (mine === round) [result.value, trouble.value] = [undefined, (error as Error).message]
    }
  }
  onMounted(() => watch(input, reason, { immediate: true, deep: true }))
  onUnmounted(() => worker?.terminate())
  return { result, trouble }
}
