import { significant } from '#core/kernel/figure'
import type { MeterFunction } from '#core/power/scpi'
import type { MeterQuestion, MeterReading, MeterView } from '#shared/chapters/meter/index'

/** The collection's meter: whether there is one, and one measurement from it. The browser never speaks to it; the server does. */
const view = ref<MeterView>()

export function useMeter() {
  const api = useApi()
  const busy = ref(false)
  const told = ref('')

  async function look() {
    try {
      view.value = await api.get<MeterView>('/api/meter')
    } catch (error) {
      told.value = (error as Error).message
    }
  }

  const worded = (value: number | null) => (value === null ? 'OL' : String(significant(value, 5)))

  /**
   * @param at the check whose pins, or the rail, that the probes are on or are to be lifted off: then figures that do not agree are all told
   * @returns the figure once it stands still, `OL` for open or overload, nothing where there is none
   */
  async function read(what: MeterFunction, at: Pick<MeterQuestion, 'probing' | 'rail'> = {}): Promise<string | undefined> {
    busy.value = true
    told.value = ''
    try {
      const reading = await api.send<MeterReading>('/api/meter/read', { what, ...at } satisfies MeterQuestion)
      told.value = reading.says
      if ((at.probing || at.rail) && !reading.settled && reading.moved.length) return reading.moved.map(worded).join('; ')
      return reading.overload ? 'OL' : reading.value === null ? undefined : worded(reading.value)
    } catch (error) {
      told.value = (error as Error).message
      return undefined
    } finally {
      busy.value = false
    }
  }

  return { view, look, read, busy, told, there: computed(() => view.value !== undefined && view.value.state !== 'none') }
}
