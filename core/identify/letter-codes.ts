/**
 * Two-character production codes of resistors and capacitors.
 * Source: IEC 60062, values from memory. The year letters return every twenty years from 1970.
 */
export const letterYears = [...'ABCDEFHJKLMNPRSTUVWX']
export const letterYearStart = 1970
export const letterYearCycle = 20

/** Month characters: 1 to 9, then O, N, D. */
export const letterMonths = [...'123456789OND']
