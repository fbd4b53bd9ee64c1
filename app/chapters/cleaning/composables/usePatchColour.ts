import { type Neutral, type PatchBox as Box, type PatchColour, boxesOverlap, neutrals } from '#core/cleaning/patch-colour'
import type { Finding } from '#core/kernel/finding'
import type { PatchBench } from '~/workers/patch.worker'
import PatchWorker from '~/workers/patch.worker?worker'

/** Areas of a picture measured against its neutral, beside the page; the picture goes nowhere. */
export function usePatchColour() {
  const file = shallowRef<File>()
  const url = ref('')
  const { busy, trouble, run } = useBeside<PatchBench>(() => new PatchWorker())
  const neutral = ref<Neutral>('grey-card')
  const target = ref('neutral')
  const areas = ref<Record<string, Box>>({})
  const findings = ref<Finding[]>([])

  async function choose(chosen: File) {
    try {
      ;(await createImageBitmap(chosen)).close()
      if (url.value) URL.revokeObjectURL(url.value)
      file.value = chosen
      url.value = URL.createObjectURL(chosen)
      areas.value = {}
      findings.value = []
      target.value = 'neutral'
      trouble.value = ''
    } catch {
      trouble.value = `${chosen.name} is no picture that can be read here. JPEG, PNG and WebP do.`
    }
  }
  onUnmounted(() => url.value && URL.revokeObjectURL(url.value))

  const setBox = (box: Box) => (areas.value = { ...areas.value, [target.value]: box })

  async function measure(of: string): Promise<PatchColour | null> {
    trouble.value = ''
    if (boxesOverlap(areas.value[of]!, areas.value.neutral!)) {
      trouble.value = 'The two boxes overlap: the part would be measured against itself. Draw them apart.'
      return null
    }
    let colour: PatchColour | null = null
    await run(
      bench => bench.measure(file.value!, { ...areas.value[of]! }, { ...areas.value.neutral! }, neutrals[neutral.value].l),
      result => {
        findings.value = result.findings
        colour = result.colour
      },
    )
    return colour
  }
  return { url, trouble, busy, neutral, target, areas, findings, choose, setBox, measure }
}
