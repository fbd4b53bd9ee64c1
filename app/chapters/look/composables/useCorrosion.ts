import { proxy } from 'comlink'
import { type CorrosionArea, defaultThreshold } from '#core/condition/corrosion-area'
import type { Point } from '#core/condition/marks'
import CorrosionWorker from '~/workers/corrosion.worker?worker'
import type { CorrosionBench } from '~/workers/corrosion.worker'

interface MarkedSpots {
  outline: Point[]
  corroded: Point[]
  sound: Point[]
  threshold: number
}

/** What was outlined and touched on a photograph. */
function useMarkedSpots() {
  const [outline, corroded, sound] = [ref<Point[]>([]), ref<Point[]>([]), ref<Point[]>([])]
  const threshold = ref(defaultThreshold)
  const plain = (points: Point[]) => points.map(([x, y]) => [x, y] as const)
  return {
    outline,
    corroded,
    sound,
    threshold,
    /** As a worker takes them. */
    samples: () => ({ outline: plain(outline.value), corroded: plain(corroded.value), sound: plain(sound.value) }),
    inputs: () => ({ outline: outline.value, corroded: corroded.value, sound: sound.value, threshold: threshold.value }),
    take(from: MarkedSpots) {
      ;[outline.value, corroded.value, sound.value, threshold.value] = [[...from.outline], [...from.corroded], [...from.sound], from.threshold]
    },
  }
}

/** A measurement of corrosion in the making: what was outlined and touched, how far the worker is, and what it found. */
export function useCorrosion(picture: () => Promise<Blob>) {
  const { outline, corroded, sound, threshold, samples, take, inputs } = useMarkedSpots()
  const progress = ref<number>()
  const area = shallowRef<CorrosionArea>()
  const overlay = shallowRef<ImageBitmap | null>(null)
  /** Whether what is shown was found from what is marked now. */
  const current = ref(false)
  const { trouble, run, end } = useBeside<CorrosionBench>(() => new CorrosionWorker(), { keeps: true })
  let loaded = false

  /** Ends the worker, and the picture with it; cancelling is nothing else. */
  function cancel() {
    end()
    loaded = false
    progress.value = undefined
  }

  function forget() {
    area.value = undefined
    overlay.value = null
    current.value = false
  }
  watch([outline, corroded, sound], () => (current.value = false), { deep: true })

  async function measure() {
    trouble.value = ''
    progress.value = 0
    const marked = samples()
    await run(
      async bench => {
        if (!loaded) await bench.load(await picture())
        loaded = true
        return bench.measure(
          marked,
          proxy((share: number) => (progress.value = share)),
        )
      },
      async wrong => {
        current.value = !wrong
        if (!wrong) return show()
        forget()
        trouble.value = wrong.message
      },
    )
    progress.value = undefined
  }

  /** What is found at this threshold; one that has been moved on meanwhile is shown by its own turn. */
  async function show() {
    if (!current.value) return
    const at = threshold.value
    await run(
      bench => Promise.all([bench.areaAt(at), bench.overlay(at)]),
      found => ([area.value, overlay.value] = found),
    )
  }
  watch(threshold, () => void show())

  function begin(from: MarkedSpots) {
    take(from)
    forget()
  }

  /** As they are drawn: each with its number among its like, by which a message names it. */
  const numberedSpots = computed(() =>
    [
      { spots: corroded.value, ink: '#FF40C8' },
      { spots: sound.value, ink: '#39D98A' },
    ].flatMap(({ spots, ink }) => spots.map((at, i) => ({ at, ink, number: i + 1 }))),
  )

  return { outline, corroded, sound, numberedSpots, threshold, progress, area, overlay, trouble, current, measure, cancel, begin, inputs }
}
