import type { EveningView } from '#shared/chapters/plan/index'

/** Tonight: who is here, what each does, and what was left over. */
export function useEvening() {
  const session = useSession()
  const { found: evening, trouble } = useCollection<EveningView>(['evening'], '/api/evening')
  const here = computed(() => evening.value?.people.filter(p => !p.gone) ?? [])
  const jobs = computed(() => evening.value?.jobs ?? [])
  /** Whoever is here or has something tonight, the one who is signed in first. */
  const hands = computed(() => {
    const named = new Map(here.value.map(p => [p.id, p.name]))
    for (const job of jobs.value) for (const { id, name } of job.hands) if (!named.has(id)) named.set(id, name)
    const mine = (id: number) => (id === session.person?.id ? 0 : 1)
    return [...named].map(([id, name]) => ({ id, name })).sort((a, b) => mine(a.id) - mine(b.id) || a.name.localeCompare(b.name))
  })
  const jobsOf = (id: number) => jobs.value.filter(j => j.hands.some(h => h.id === id))
  const nobodys = computed(() => jobs.value.filter(j => j.state === 'handed-on'))
  return { evening, trouble, here, jobs, hands, jobsOf, nobodys, isHere: computed(() => here.value.some(p => p.id === session.person?.id)) }
}
