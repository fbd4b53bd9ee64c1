import Papa from 'papaparse'
import { type SunReading, readSunHours } from '#core/cleaning/sun-hours'
import { InputError } from '#core/kernel/input-error'

const largestBytes = 1_000_000

/** Hours of sun read from a table that somebody chose; what is wrong is told line by line. */
export function useSunFile() {
  const reading = shallowRef<SunReading>()
  const trouble = ref('')
  async function read(file: File | undefined) {
    ;[reading.value, trouble.value] = [undefined, '']
    if (!file) return
    if (file.size > largestBytes) return void (trouble.value = `${file.name} is larger than a table of days would be.`)
    try {
      reading.value = readSunHours(Papa.parse<string[]>((await file.text()).replace(/^\uFEFF/, ''), { skipEmptyLines: true }).data)
    } catch (error) {
      if (!(error instanceof InputError)) throw error
      trouble.value = error.message
    }
  }
  return { reading, trouble, read }
}
