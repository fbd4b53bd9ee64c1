import type { Capture } from '#core/signals/capture'
import type { SignalsResult } from '#core/signals/judge-lines'
import type { CaptureBench } from '~/workers/capture.worker'
import CaptureWorker from '~/workers/capture.worker?worker'

/** A capture read and judged beside the page; it can be given up. */
export function useCapture() {
  const capture = shallowRef<Capture>()
  const result = shallowRef<SignalsResult>()
  const { busy, trouble, run, end: cancel } = useBeside<CaptureBench>(() => new CaptureWorker())
  async function read(text: string | Promise<string>) {
    ;[capture.value, result.value, trouble.value] = [undefined, undefined, '']
    await run(
      async bench => bench.read(await text),
      found => ([capture.value, result.value] = [found.capture, found.result]),
    )
  }
  return { capture, result, trouble, busy, read, cancel }
}
