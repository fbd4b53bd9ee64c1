import type { ModelView } from '#shared/contracts/views'

/** Something fetched for a place, and fetched again whenever anybody changes anything. */
export function useLooked<T>(fetch: () => Promise<T>) {
  const machines = useMachines()
  const found = shallowRef<T>()
  const trouble = ref('')
  async function look() {
    try {
      found.value = await fetch()
      trouble.value = ''
    }
    catch (error) {
      trouble.value = (error as Error).message
    }
  }
  watch(() => machines.changes, () => void look())
  onMounted(look)
  return { found, trouble, look }
}

/** What is known of each model. */
export function useModels() {
  const api = useApi()
  const { found, trouble } = useLooked(() => api.get<{ models: ModelView[] }>('/api/models'))
  return { known: computed(() => found.value?.models ?? []), fetched: computed(() => found.value !== undefined), trouble }
}
