import { refDebounced } from '@vueuse/core'
import { MachineNarrowing } from '#shared/kernel/machine'

/** What of the address is no narrowing, but how the list is looked at. */
const views = ['table', 'wall', 'run'] as const
export type StoreView = (typeof views)[number]
type Narrowing = Partial<MachineNarrowing>

/** What the store is asked for; it stands in the address, so that it can be kept and sent. */
export function useStoreQuestion() {
  const route = useRoute()
  const router = useRouter()
  const named = Object.keys(MachineNarrowing.shape) as (keyof MachineNarrowing)[]
  /** What of an address can be read; the rest is left out rather than refused. */
  const readFrom = (query: Record<string, unknown>): Narrowing =>
    Object.fromEntries(
      named.flatMap(name => {
        const read = query[name] === undefined || query[name] === '' ? undefined : MachineNarrowing.shape[name].safeParse(query[name])
        return read?.success && read.data !== undefined ? [[name, read.data]] : []
      }),
    )
  const question = ref<Narrowing>(readFrom(route.query))
  const view = ref<StoreView>(views.find(v => v === route.query.view) ?? 'table')
  const typed = ref(question.value.find ?? '')
  const asked = refDebounced(typed, 150)
  const page = ref(1)
  const set = <N extends keyof MachineNarrowing>(name: N, value: MachineNarrowing[N] | undefined | '') => {
    const { [name]: _, ...rest } = question.value
    question.value = (value === undefined || value === '' ? rest : { ...rest, [name]: value }) as Narrowing
  }
  watch(asked, words => set('find', words.trim()))
  const query = computed(() => ({ ...question.value, ...(view.value === 'table' ? {} : { view: view.value }) }))
  // Another question begins on its first page.
  watch(query, now => {
    page.value = 1
    // Not `navigateTo`: called while an earlier change of the address is under way, it takes itself for a redirect and is lost.
    void router.replace({ query: now })
  })
  /** A list that was kept, or another address of the store. */
  watch(
    () => route.query,
    now => {
      const read = readFrom(now)
      if (route.path !== '/store' || JSON.stringify(read) === JSON.stringify(readFrom(query.value))) return
      question.value = read
      typed.value = read.find ?? ''
    },
  )
  const narrowed = computed(() => Object.keys(question.value).filter(name => name !== 'sort').length)
  const clear = () => {
    typed.value = ''
    question.value = question.value.sort ? { sort: question.value.sort } : {}
  }
  return { question, typed, view, page, set, narrowed, clear }
}
