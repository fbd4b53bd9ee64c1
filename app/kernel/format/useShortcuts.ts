import { onKeyStroke } from '@vueuse/core'

export interface Shortcut {
  key: string
  says: string
  act: () => void
}

/** Single-key shortcuts of the place that is open; shown with `?`. None fires while somebody types or a dialog is open. */
const active = ref<Shortcut[]>([])

export function useShortcuts(shortcuts: Shortcut[]) {
  onMounted(() => active.value.push(...shortcuts))
  onUnmounted(() => (active.value = active.value.filter(s => !shortcuts.some(own => own.key === s.key && own.says === s.says))))
}

/** Called once, by the layout. */
export function listenForShortcuts() {
  onKeyStroke(true, event => {
    const at = event.target as HTMLElement
    const typing = at.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(at.tagName)
    // Out of the field, so that the keys work; a list or a dialog that is open closes first.
    if (event.key === 'Escape' && typing && !document.querySelector('[role=dialog],[role=listbox]')) return at.blur()
    if (event.ctrlKey || event.metaKey || event.altKey || typing || document.querySelector('[role=dialog],[role=listbox]')) return
    const shortcut = active.value.findLast(s => s.key === event.key)
    if (!shortcut) return
    event.preventDefault()
    shortcut.act()
  })
  return { active }
}
