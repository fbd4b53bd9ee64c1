import { useField } from 'vee-validate'

/** A field that is typed into, by its name in the form: a message comes once it was left or the form was sent, not while the first letters are typed. */
export function useTypedField<V>(name: () => string) {
  const isNeeded = inject(neededKey, () => false)
  const { value, errorMessage, handleBlur, meta } = useField<V>(name, undefined, { validateOnValueUpdate: true })
  const form = useFormContext()
  const message = computed(() => ((meta.touched && meta.dirty) || form.sent.value ? errorMessage.value : undefined))
  return { value, message, handleBlur, needed: computed(() => isNeeded(name())) }
}
