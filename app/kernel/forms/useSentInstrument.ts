import { InputError } from '#core/kernel/input-error'

/**
 * Runs an instrument on the server, whose work takes its time: asked by a press, shown while it works, and stopped by another.
 * @param read what stands on its face @throws InputError at the field that does not do
 */
export function useSentInstrument<I extends object, O extends object>(id: string, read: () => I) {
  const api = useApi()
  const trouble = ref<{ field: string; message: string }>()
  const asked = useAsked(async signal => {
    trouble.value = undefined
    try {
      return (await api.send<{ result: O }>(`/api/tools/${id}`, read(), { signal })).result
    } catch (error) {
      if (error instanceof InputError) trouble.value = { field: error.field, message: error.message }
      else if (error instanceof ApiError && error.answer.field) trouble.value = { field: error.answer.field, message: error.message }
      else throw error
      throw new ApiError(422, { code: 'bad-input', message: trouble.value.message })
    }
  })
  /** What is wrong at a field, or within it. */
  const at = (field: string) => (trouble.value?.field === field || trouble.value?.field.startsWith(`${field}.`) ? trouble.value.message : undefined)
  return { ...asked, at }
}
