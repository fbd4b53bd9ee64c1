import papaparse from 'papaparse'

/**
 * What a spreadsheet would take for a formula, also behind spaces, line breaks and signs that nobody sees. It is quoted by an apostrophe, which
 * spreadsheets know (OWASP, CSV injection).
 */
const formula = /^[\s\p{C}]*[=+\-@|%]|^[\t\r\n]/u

/** Rows as a table to take away: RFC 4180, with the line end that it asks for. Figures stay figures. */
export const csvOf = (rows: readonly (readonly (string | number)[])[]): string =>
  papaparse.unparse(rows as (string | number)[][], { escapeFormulae: formula as never, newline: '\r\n' }) + '\r\n'
