import { type Remote, wrap } from 'comlink'

/**
 * Work done in a web worker beside the page. Only the newest piece of work is answered; whoever waits can end it, and it ends with the page.
 * @param make the worker, which exposes B
 * @param keeps whether the worker stays for the next piece of work; else it ends with its answer, and what it held is free
 */
export function useBeside<B extends object>(make: () => Worker, { keeps = false } = {}) {
  const busy = ref(false)
  const trouble = ref('')
  let open: { worker: Worker; bench: Remote<B> } | undefined
  let round = 0

  /** Ends what is being worked on; nothing of it is answered. */
  function end(): void {
    round++
    open?.worker.terminate()
    open = undefined
    busy.value = false
  }
  onUnmounted(end)

  function opened(): Remote<B> {
    if (!open) {
      const worker = make()
      open = { worker, bench: wrap<B>(worker) }
    }
    return open.bench
  }

  /** @param found hears what came of it and is waited for, unless newer work was begun meanwhile or this was ended; what went wrong stands in `trouble` */
  async function run<R>(work: (bench: Remote<B>) => Promise<R>, found: (result: R) => unknown): Promise<void> {
    if (!keeps) end()
    const mine = ++round
    busy.value = true
    try {
      const result = await work(opened())
      if (mine !== round) return
      trouble.value = ''
      await found(result)
    } catch (error) {
      if (mine === round) trouble.value = error instanceof Error ? error.message : String(error)
    } finally {
      if (mine === round) {
        if (!keeps) end()
        busy.value = false
      }
    }
  }
  return { busy, trouble, run, end }
}
