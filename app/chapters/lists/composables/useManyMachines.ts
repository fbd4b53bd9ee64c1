import type { CommandRequest, MachineCommandName } from '#shared/chapters/index'

/** The same command for several machines, one after the other: how far it is, what was refused, and a way to stop it. */
export function useManyMachines() {
  const api = useApi()
  const changes = useChanges()
  const done = ref(0)
  const of = ref(0)
  const busy = ref(false)
  const refused = ref<{ tag: string; message: string }[]>([])
  let stopped = false

  async function forEach<N extends MachineCommandName>(tags: readonly string[], name: N, input: CommandRequest<N>): Promise<void> {
    ;[done.value, of.value, busy.value, refused.value, stopped] = [0, tags.length, true, [], false]
    for (const tag of tags) {
      if (stopped) break
      try {
        const { change } = await api.command(name, input, tag)
        if (change) await changes.take(change)
      } catch (error) {
        refused.value.push({ tag, message: (error as Error).message })
      }
      done.value++
    }
    busy.value = false
  }
  return { forEach, done, of, busy, refused, stop: () => (stopped = true) }
}
