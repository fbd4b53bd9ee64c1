import { useFormContext as useVeeForm } from 'vee-validate'

/** Whether the form around a field has been sent once; from then on it shows every message. */
export function useFormContext() {
  const form = useVeeForm()
  return { sent: computed(() => (form?.submitCount.value ?? 0) > 0) }
}
