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

export interface TagFrame {
  /** What stands before and after the running number. */
  before: string
  after: string
  digits: number
}

/** A collection's numbering in one year. @throws InputError as `checkTagPattern` does */
export function tagFrame(pattern: string, year: number): TagFrame {
  checkTagPattern(pattern)
  const [before = '', after = ''] = pattern
    .replace('{year}', String(year))
    .split(numberPlace)
    .filter((_, i) => i !== 1)
  return { before, after, digits: Number(numberPlace.exec(pattern)?.[1] ?? 1) }
}

export const tagOf = ({ before, after, digits }: TagFrame, n: number): string => `${before}${String(n).padStart(digits, '0')}${after}`

/** The running number of a tag of this numbering; 0 for a tag of another. */
export function numberOf({ before, after }: TagFrame, tag: string): number {
  const middle = tag.startsWith(before) && tag.endsWith(after) ? tag.slice(before.length, tag.length - after.length) : ''
  return /^\d+$/.test(middle) ? Number(middle) : 0
}
