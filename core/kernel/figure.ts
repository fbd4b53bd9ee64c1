/** A figure with so many digits that count, for sentences and for what is kept: 0.012346 with three is 0.0123. */
export const significant = (value: number, digits = 3): number => Number(value.toPrecision(digits))
/** A figure with so many decimals at most: 2.50 with one is 2.5. */
export const decimals = (value: number, places: number): number => Number(value.toFixed(places))
/** A figure as it is written, with its true minus sign: -5.09 is −5.09. */
export const written = (value: number | string): string => String(value).replace('-', '−')
/** A figure with just so many decimals, as it is written; what rounds to nothing has no sign. */
export const fixed = (value: number, places: number): string => written((Number(value.toFixed(places)) || 0).toFixed(places))
/** How many of something, in words: no photographs, 1 photograph, 3 photographs. @param many the plural, where it is not made with an s */
export const counted = (n: number, one: string, many = `${one}s`): string => `${n || 'no'} ${n === 1 ? one : many}`

const prefixes = ['p', 'n', 'µ', 'm', '', 'k', 'M', 'G']

/** A quantity as engineers write it: three figures, a prefix in steps of a thousand, and its unit. */
export function engineering(value: number, unit: string): string {
  if (value === 0) return `0 ${unit}`
  const step = Math.min(3, Math.max(-4, Math.floor(Math.log10(Math.abs(value)) / 3 + 1e-9)))
  const scaled = significant(value / 1000 ** step)
  // 999.6 rounds up into the next prefix.
  return Math.abs(scaled) >= 1000 && step < 3 ? `${scaled / 1000} ${prefixes[step + 5]}${unit}` : `${scaled} ${prefixes[step + 4]}${unit}`
}
