import { InputError } from '#core/kernel/input-error'
import { parseQuantity, unitOfName } from '#core/kernel/quantity'

/**
 * Runs an instrument on whatever is typed on its face: the result, or the message at the field that was refused.
 * What was read goes to `told`, for pinning; nothing while the input does not do.
 */
export function useInstrument<I extends object, O>(read: () => I, run: (input: I) => O, told: (input: Record<string, unknown> | undefined) => void) {
  const result = shallowRef<O>()
  const trouble = ref<{ field: string; message: string }>()
  watchEffect(() => {
    try {
      const input = read()
      result.value = run(input)
      trouble.value = undefined
      told(input as Record<string, unknown>)
    } catch (error) {
      if (!(error instanceof InputError)) throw error
      result.value = undefined
      trouble.value = { field: error.field, message: error.message }
      told(undefined)
    }
  })
  return { result, at: (field: string) => (trouble.value?.field === field || trouble.value?.field.startsWith(`${field}.`) ? trouble.value.message : undefined) }
}

/**
 * The figures that were typed on a face, by the name of their field; an empty field is left out.
 * @throws InputError at the field that is no figure
 */
export const figuresOf = <F extends string>(typed: Record<F, string>): Partial<Record<F, number>> =>
  Object.fromEntries(
    Object.entries<string>(typed).flatMap(([field, text]) => (text.trim() ? [[field, parseQuantity(text, unitOfName(field), field)]] : [])),
  ) as Partial<Record<F, number>>
