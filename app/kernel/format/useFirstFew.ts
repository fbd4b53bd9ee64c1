/** The first rows of a list, as many as there is room for, and every one once they are asked for (see `ShowAll`). */
export function useFirstFew<T>(rows: () => readonly T[] | undefined, { phone, wide }: { phone: number; wide: number }) {
  const all = ref(false)
  const few = onPhone() ? phone : wide
  return { all, few, shown: computed(() => (all.value ? (rows() ?? []) : (rows() ?? []).slice(0, few))), count: computed(() => rows()?.length ?? 0) }
}
