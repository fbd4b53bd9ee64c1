import { significant } from '#core/kernel/figure'
export { engineering } from '#core/kernel/figure'

/** A figure with three digits that count. */
export const three = (value: number) => (Math.abs(value) >= 1000 ? String(Math.round(value)) : String(significant(value)))

/** A time as people say it. */
export const lasting = (seconds: number) =>
  seconds < 90 ? `${significant(seconds)} s` : seconds < 5400 ? `${Math.round(seconds / 60)} min` : `${significant(seconds / 3600, 2)} h`
