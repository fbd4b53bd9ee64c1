import type { Capture } from '#core/signals/capture'
import type { SignalsResult } from '#core/signals/judge-lines'
import type { CaptureBench } from '~/workers/capture.worker'
import CaptureWorker from '~/workers/capture.worker?worker'
import { type Remote, wrap } from 'comlink'

/** A capture read and judged beside the page; it can be given up. */
export function useCapture() {
  const capture = shallowRef<Capture>()
  const result = shallowRef<SignalsResult>()
  const trouble = ref('')
  const busy = ref(false)
  let worker: Worker | undefined
  function cancel() {
    worker?.terminate()
    worker = undefined
    busy.value = false
  }
  async function read(text: string | Promise<string>) {
    cancel()
    ;[capture.value, result.value, trouble.value, busy.value] = [undefined, undefined, '', true]
    const mine = (worker = new CaptureWorker())
    const bench: Remote<CaptureBench> = wrap<CaptureBench>(mine)
    try {
      const found = await bench.read(await text)
      if (worker === mine) [capture.value, result.value] = [found.capture, found.result]
    } catch (error) {
      if (worker === mine) trouble.value = (error as Error).message
    } finally {
      if (worker === mine) cancel()
    }
  }
  onUnmounted(cancel)
  return { capture, result, trouble, busy, read, cancel }
}
