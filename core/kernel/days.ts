import { millisecondsInDay } from 'date-fns/constants'

/** Whole days between two instants. */
export const daysBetween = (from: string, to: string) => Math.floor((Date.parse(to) - Date.parse(from)) / millisecondsInDay)
