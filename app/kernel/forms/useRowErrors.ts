import { useFormErrors } from 'vee-validate'

/** Messages of a list of rows in a form: those at one cell, or the first anywhere in it. They show once the form was sent. */
export function useRowErrors(name: MaybeRefOrGetter<string>) {
  const errors = useFormErrors()
  const form = useFormContext()
  const list = computed(() => toValue(name))
  const shown = (message: string | undefined) => (form.sent.value ? message : undefined)
  return {
    at: (row: number, field: string) => shown(errors.value[`${list.value}[${row}].${field}`]),
    first: computed(() => shown(Object.entries(errors.value).find(([path]) => path === list.value || path.startsWith(`${list.value}[`))?.[1])),
  }
}
