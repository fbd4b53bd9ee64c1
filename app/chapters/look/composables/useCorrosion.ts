import { type Remote, proxy, wrap } from 'comlink'
import { type CorrosionArea, defaultThreshold } from '#core/condition/corrosion-area'
import type { Point } from '#core/condition/marks'
import CorrosionWorker from '~/workers/corrosion.worker?worker'
import type { CorrosionBench } from '~/workers/corrosion.worker'

/** A measurement of corrosion in the making: what was outlined and touched, how far the worker is, and what it found. */
export function useCorrosion(picture: () => Promise<Blob>) {
  const outline = ref<Point[]>([])
  const corroded = ref<Point[]>([])
  const sound = ref<Point[]>([])
  const threshold = ref(defaultThreshold)
  const progress = ref<number>()
  const area = shallowRef<CorrosionArea>()
  const overlay = shallowRef<ImageBitmap | null>(null)
  const trouble = ref('')
  /** Whether what is shown was found from what is marked now. */
  const current = ref(false)
  let worker: Worker | undefined
  let bench: Remote<CorrosionBench> | undefined

  /** Ends the worker; cancelling is nothing else. */
  function cancel() {
    worker?.terminate()
    worker = bench = undefined
    progress.value = undefined
  }
  onUnmounted(cancel)

  function forget() {
    area.value = undefined
    overlay.value = null
    current.value = false
  }
  watch([outline, corroded, sound], () => (current.value = false), { deep: true })

  async function measure() {
    trouble.value = ''
    progress.value = 0
    try {
      if (!worker) {
        worker = new CorrosionWorker()
        bench = wrap<CorrosionBench>(worker)
        await bench.load(await picture())
      }
      const plain = (points: Point[]) => points.map(([x, y]) => [x, y] as const)
      const wrong = await bench!.measure(
        { outline: plain(outline.value), corroded: plain(corroded.value), sound: plain(sound.value) },
        proxy((share: number) => (progress.value = share)),
      )
      if (wrong) {
        trouble.value = wrong.message
        return forget()
      }
      current.value = true
      await show()
    } catch (error) {
      trouble.value = error instanceof Error ? error.message : String(error)
    } finally {
      progress.value = undefined
    }
  }

  async function show() {
    if (!bench || !current.value) return
    const at = threshold.value
    const [found, shown] = await Promise.all([bench.areaAt(at), bench.overlay(at)])
    // A threshold that has been moved on meanwhile is shown by its own turn.
    if (at === threshold.value) [area.value, overlay.value] = [found, shown]
  }
  watch(threshold, () => void show())

  function begin(from: { outline: Point[]; corroded: Point[]; sound: Point[]; threshold: number }) {
    ;[outline.value, corroded.value, sound.value, threshold.value] = [[...from.outline], [...from.corroded], [...from.sound], from.threshold]
    forget()
  }

  return {
    outline,
    corroded,
    sound,
    threshold,
    progress,
    area,
    overlay,
    trouble,
    current,
    measure,
    cancel,
    begin,
    inputs: () => ({ outline: outline.value, corroded: corroded.value, sound: sound.value, threshold: threshold.value }),
  }
}
