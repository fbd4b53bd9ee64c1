import { type Neutral, type NeutralSet, type PatchBox as Box, type PatchColour, boxesOverlap, enoughNeutrals, neutralSets } from '#core/cleaning/patch-colour'
import type { Finding } from '#core/kernel/finding'
import type { PatchBench } from '~/workers/patch.worker'
import PatchWorker from '~/workers/patch.worker?worker'

/** Areas of a picture measured against its neutrals, beside the page; the picture goes nowhere. */
export function usePatchColour() {
  const file = shallowRef<File>()
  const url = ref('')
  const { busy, trouble, run } = useBeside<PatchBench>(() => new PatchWorker())
  const set = ref<NeutralSet>('grey-card')
  const kinds = computed<readonly Neutral[]>(() => neutralSets[set.value].neutrals)
  const target = ref<string>(kinds.value[0]!)
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
      target.value = kinds.value[0]!
      trouble.value = ''
    } catch {
      trouble.value = `${chosen.name} is no picture that can be read here. JPEG, PNG and WebP do.`
    }
  }
  onUnmounted(() => url.value && URL.revokeObjectURL(url.value))

  watch(kinds, ([first]) => (target.value = first!))
  const setBox = (box: Box) => (areas.value = { ...areas.value, [target.value]: box })

  /** Neutrals of the set that have a box, and whether they are enough. */
  const drawnKinds = computed(() => kinds.value.filter(kind => areas.value[kind]))
  const enough = computed(() => enoughNeutrals(set.value, drawnKinds.value.length))

  async function measure(of: string): Promise<PatchColour | null> {
    trouble.value = ''
    const beside = drawnKinds.value.map(kind => ({ kind, box: { ...areas.value[kind]! } }))
    if (beside.some(({ box }) => boxesOverlap(areas.value[of]!, box))) {
      trouble.value = 'Two boxes overlap: the part would be measured against itself. Draw them apart.'
      return null
    }
    let colour: PatchColour | null = null
    await run(
      bench => bench.measure(file.value!, { ...areas.value[of]! }, beside),
      result => {
        findings.value = result.findings
        colour = result.colour
      },
    )
    return colour
  }
  return { url, trouble, busy, set, kinds, enough, target, areas, findings, choose, setBox, measure }
}
