import type { NetList } from '#core/continuity/net-list'
import type { NetListBench } from '~/workers/net-list.worker'
import NetListWorker from '~/workers/net-list.worker?worker'

const largestBytes = 60_000_000

/** A net list from a file that somebody chose, read beside the page; it can be given up. */
export function useNetListFile() {
  const file = shallowRef<File>()
  const list = shallowRef<NetList>()
  const { busy, trouble, run, end: cancel } = useBeside<NetListBench>(() => new NetListWorker())
  async function read(chosen: File | undefined) {
    cancel()
    ;[list.value, trouble.value, file.value] = [undefined, '', chosen]
    if (!chosen) return
    if (chosen.size > largestBytes) return void (trouble.value = `${chosen.name} is larger than any net list of one board; up to 60 MB, please.`)
    await run(
      async bench => bench.read(await chosen.text()),
      found => (list.value = found),
    )
  }
  return { file, list, trouble, busy, read, cancel }
}
