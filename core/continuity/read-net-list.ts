import Papa from 'papaparse'
import { InputError } from '../kernel/input-error'
import type { NetList } from './net-list'
import { readBoard } from './read-board'
import { readIpc356 } from './read-ipc356'
import { readTable } from './read-table'

/** Larger files are no net lists of one board. */
const largestNetListBytes = 60_000_000

/**
 * Reads nets and pins from whatever file there is, told by its content: a bare-board net list in columns, a board or a net list in
 * s-expressions, or a table.
 * @throws InputError for what is too large, empty, or none of these
 */
export function readNetList(text: string): NetList {
  if (text.length > largestNetListBytes) throw new InputError('file', text.length, 'File: larger than any net list of one board; up to 60 MB, please.')
  const content = text.replace(/^\uFEFF/, '')
  const begins = content.trimStart().slice(0, 400)
  if (!begins) throw new InputError('file', '', 'File: it is empty.')
  if (begins.includes('\0'))
    throw new InputError('file', '', 'File: it is no text. Export the net list as IPC-D-356, as a board file in s-expressions, or as CSV.')
  if (begins.startsWith('(')) return readBoard(content)
  // Its comments and parameters may hold anything, commas too.
  const record = begins.split(/\r\n|\r|\n/).find(line => line.trim() && !/^[CP] /.test(line)) ?? ''
  if (/^(P {2}|C {2}|[0-3]\d7)/m.test(begins) && !/^[^,;\t]{0,16}[,;\t]/.test(record)) return readIpc356(content)
  return readTable(Papa.parse<string[]>(content, { comments: '#' }).data)
}
