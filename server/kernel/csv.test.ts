import Papa from 'papaparse'
import { expect, it } from 'vitest'
import { csvOf } from './csv'

// OWASP, CSV injection: a cell that a spreadsheet would carry out.
it.each(['=1+1', '=HYPERLINK("x")\nand more', '\n=1+1', '\r\n@SUM(A1)', ' \t+1', '\u200B=1+1', '-2+3', '|calc', '%1'])('%j is no formula', cell => {
  const [row] = Papa.parse<string[]>(csvOf([[cell, 5]])).data
  expect(row).toEqual([`'${cell}`, '5'])
})

it('words and figures stay as they are', () => {
  const rows = [
    ['Quay, "upper"\nlamp', -5.09],
    ['a = b', 0],
    ['', 1e-7],
  ]
  expect(Papa.parse(csvOf(rows), { skipEmptyLines: true }).data).toEqual(rows.map(row => row.map(String)))
})
