import { InputError } from '../kernel/input-error'

/**
 * A collection's numbering: `{year}` stands for the four-digit year, `{n:3}` for a running number of at least three digits,
 * counted anew each year where the pattern names the year. `SH-{year}-{n:3}` gives SH-2026-031.
 */
const numberPlace = /\{n(?::(\d))?\}/

/** @throws InputError when the pattern has no running number, or characters that do not belong on a tag. */
export function checkTagPattern(pattern: string, field = 'numbering'): void {
  if (!numberPlace.test(pattern)) throw new InputError(field, pattern, 'The pattern needs a place for the number. Try SH-{year}-{n:3}.')
  const rest = pattern.replace(numberPlace, '').replace('{year}', '')
  if (!/^[A-Za-z0-9.-]*$/.test(rest)) throw new InputError(field, pattern, 'Only letters, digits, dots and hyphens can stand beside {year} and {n:3}.')
}

/** The next tag after those in use. */
export function nextTag(pattern: string, year: number, inUse: readonly string[]): string {
  checkTagPattern(pattern)
  const [before = '', after = ''] = pattern.replace('{year}', String(year)).split(numberPlace).filter((_, i) => i !== 1)
  const digits = Number(numberPlace.exec(pattern)?.[1] ?? 1)
  const numbers = inUse
    .filter(tag => tag.startsWith(before) && tag.endsWith(after))
    .map(tag => tag.slice(before.length, tag.length - after.length))
    .filter(middle => /^\d+$/.test(middle))
    .map(Number)
  const next = Math.max(0, ...numbers) + 1
  return `${before}${String(next).padStart(digits, '0')}${after}`
}
