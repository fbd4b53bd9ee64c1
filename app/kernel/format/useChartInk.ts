import { useColorMode } from '@vueuse/core'

/** Colours of the theme for charts, which do not read style sheets; asked again when the theme changes. */
export function useChartInk() {
  const mode = useColorMode({ attribute: 'data-theme', storageKey: 'jolly-bench-theme' })
  return (name: string) => {
    void mode.value
    return getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim()
  }
}
