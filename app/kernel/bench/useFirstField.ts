/** Puts the cursor into the first field of what this names, once it is there; into the first figure, where that is asked for. */
export function useFirstField(of: Readonly<Ref<{ $el: HTMLElement } | null>>, which: 'field' | 'figure' = 'field') {
  const found = { field: 'input:not([type=file]), textarea', figure: 'input[inputmode=decimal]' }
  onMounted(() => of.value?.$el.querySelector<HTMLElement>(found[which])?.focus())
}
