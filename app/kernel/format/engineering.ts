import { significant } from '#core/kernel/figure'
const prefixes = ['p', 'n', 'µ', 'm', '', 'k', 'M', 'G']

/** A quantity as engineers write it: three figures, a prefix in steps of a thousand, and its unit. */
export function engineering(value: number, unit: string): string {
  if (value === 0) return `0 ${unit}`
  const step = Math.min(3, Math.max(-4, Math.floor(Math.log10(Math.abs(value)) / 3 + 1e-9)))
  const scaled = significant(value / 1000 ** step)
  // 999.6 rounds up into the next prefix.
  return Math.abs(scaled) >= 1000 && step < 3 ? `${scaled / 1000} ${prefixes[step + 5]}${unit}` : `${scaled} ${prefixes[step + 4]}${unit}`
}

/** A figure with three digits that count. */
export const three = (value: number) => (Math.abs(value) >= 1000 ? String(Math.round(value)) : String(significant(value)))

/** A time as people say it. */
export const lasting = (seconds: number) =>
  seconds < 90 ? `${significant(seconds)} s` : seconds < 5400 ? `${Math.round(seconds / 60)} min` : `${significant(seconds / 3600, 2)} h`
