/** Colours of the theme for charts, by their names: drawn as SVG they follow the theme by themselves, and are light on paper. */
export const useChartInk = () => (name: string) => `var(--${name})`
