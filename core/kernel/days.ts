import { millisecondsInDay } from 'date-fns/constants'

/** Whole days between two instants. */
export const daysBetween = (from: string, to: string) => Math.floor((Date.parse(to) - Date.parse(from)) / millisecondsInDay)

/** A day, month or year as ISO writes it: 1998, 1998-05, 1998-05-17. */
export type IsoDay = string

const written = (parts: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', ...parts })
const forms: Record<number, Intl.DateTimeFormat> = {
  4: written({ year: 'numeric' }),
  7: written({ month: 'short', year: 'numeric' }),
  10: written({ day: 'numeric', month: 'short', year: 'numeric' }),
}

/** A day, month or year as it is shown everywhere: 28 Nov 2026, May 1998, 1998; what is no such is shown as it stands. */
export function writtenDay(iso: IsoDay): string {
  const form = /^\d{4}(-\d\d){0,2}$/.test(iso) ? forms[iso.length] : undefined
  const day = Date.parse(`${iso}-01-01`.slice(0, 10))
  return form && !Number.isNaN(day) ? form.format(day) : iso
}

/** A day in a sentence: on 28 Nov 2026, in May 1998. */
export const onDay = (iso: IsoDay) => `${iso.length === 10 ? 'on' : 'in'} ${writtenDay(iso)}`

/** A moment on a clock of the wall, `2026-11-28T21:30`, as it is shown: 28 Nov 2026 21:30. */
export const writtenMoment = (local: string) => `${writtenDay(local.slice(0, 10))} ${local.slice(11, 16)}`
/** The day of an instant in UTC, as it is written in a sentence. */
export const dayOf = (instant: string) => writtenDay(instant.slice(0, 10))
