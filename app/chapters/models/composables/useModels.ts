import type { ModelPage, ModelView, SpelledOtherwise } from '#shared/chapters/models/index'

/** What is known of each model. */
export function useModels() {
  const { found, trouble } = useCollection<{ models: ModelView[]; spelledOtherwise: SpelledOtherwise[] }>(['models'], '/api/models')
  return {
    known: computed(() => found.value?.models ?? []),
    spelledOtherwise: computed(() => found.value?.spelledOtherwise ?? []),
    fetched: computed(() => found.value !== undefined),
    trouble,
  }
}

/** One model with the machines of it that are kept here. */
export const useModelPage = (id: MaybeRefOrGetter<number>) =>
  useCollection<ModelPage>(
    () => ['model', toValue(id)],
    () => `/api/models/${toValue(id)}`,
  )
