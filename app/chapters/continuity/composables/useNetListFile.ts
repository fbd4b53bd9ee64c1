import { type NetList } from '#core/continuity/net-list'
import { type Remote, wrap } from 'comlink'
import type { NetListBench } from '~/workers/net-list.worker'
import NetListWorker from '~/workers/net-list.worker?worker'

const largestBytes = 60_000_000

/** A net list from a file that somebody chose, read in a worker; it can be cancelled. */
export function useNetListFile() {
  const file = shallowRef<File>()
  const list = shallowRef<NetList>()
  const trouble = ref('')
  const busy = ref(false)
  let worker: Worker | undefined
  function cancel() {
    worker?.terminate()
    worker = undefined
    busy.value = false
  }
  async function read(chosen: File | undefined) {
    cancel()
    ;[list.value, trouble.value, file.value] = [undefined, '', chosen]
    if (!chosen) return
    if (chosen.size > largestBytes) return void (trouble.value = `${chosen.name} is larger than any net list of one board; up to 60 MB, please.`)
    busy.value = true
    worker = new NetListWorker()
    const bench: Remote<NetListBench> = wrap<NetListBench>(worker)
    try {
      const read = await bench.read(await chosen.text())
      // Another file may have been chosen, or this one given up.
      if (file.value === chosen && busy.value) list.value = read
    } catch (error) {
      if (file.value === chosen) trouble.value = (error as Error).message
    } finally {
      if (file.value === chosen) cancel()
    }
  }
  onUnmounted(cancel)
  return { file, list, trouble, busy, read, cancel }
}
