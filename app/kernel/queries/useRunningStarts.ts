import type { RunningStart } from '#shared/chapters/starts/index'

/** The starts that run at this moment: whoever is near a machine under power should know. */
export function useRunningStarts() {
  const { found } = useCollection<RunningStart[]>(['starts'], '/api/starts')
  const running = computed(() => found.value ?? [])
  return { running, runningOn: (tag: string) => running.value.find(s => s.tag === tag) }
}
