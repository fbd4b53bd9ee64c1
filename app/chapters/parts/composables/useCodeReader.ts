import type { CodeBench } from '~/workers/codes.worker'

/** So long between two looks through the camera. */
const everyMs = 250
/** No wider is a picture of a camera looked at; a code that fills a fifth of it is read. */
const widestPx = 1024

/**
 * Reads codes, through the camera as long as it is open, or in a picture that was taken.
 * @param found hears each code once, until another was read between
 */
export function useCodeReader(found: (text: string) => void) {
  const { busy, trouble, run } = useBeside<CodeBench>(() => new Worker(new URL('../../../workers/codes.worker.ts', import.meta.url), { type: 'module' }), {
    keeps: true,
  })
  const video = ref<HTMLVideoElement | null>(null)
  const open = ref(false)
  const refused = ref('')
  const nothing = ref(false)
  let stream: MediaStream | undefined
  let timer: number | undefined
  let last = ''

  const tell = (texts: string[]) => {
    for (const text of texts) if (text !== last) found((last = text))
  }
  function close(): void {
    window.clearInterval(timer)
    stream?.getTracks().forEach(track => track.stop())
    stream = undefined
    open.value = false
  }
  onUnmounted(close)

  function look(): void {
    const from = video.value
    if (!from?.videoWidth || busy.value) return
    const width = Math.min(widestPx, from.videoWidth)
    const height = Math.round((from.videoHeight * width) / from.videoWidth)
    const context = new OffscreenCanvas(width, height).getContext('2d')!
    context.drawImage(from, 0, 0, width, height)
    void run(bench => bench.read(context.getImageData(0, 0, width, height)), tell)
  }
  /** Opens the camera. Browsers give it to pages of this computer, and to those under https. */
  async function start(): Promise<void> {
    refused.value = ''
    last = ''
    try {
      stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } })
    } catch {
      refused.value = 'The camera was not given. Take a picture of the code instead.'
      return
    }
    open.value = true
    await nextTick()
    if (video.value) {
      video.value.srcObject = stream
      await video.value.play().catch(() => undefined)
    }
    timer = window.setInterval(look, everyMs)
  }
  /** Reads a picture that was taken or chosen. */
  async function readPicture(picture: Blob): Promise<void> {
    nothing.value = false
    last = ''
    await run(
      bench => bench.read(picture),
      texts => {
        nothing.value = !texts.length
        tell(texts)
      },
    )
  }
  return { video, open, busy, trouble, refused, nothing, start, close, readPicture, hasCamera: Boolean(navigator.mediaDevices?.getUserMedia) }
}
