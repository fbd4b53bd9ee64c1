import { expect, it } from 'vitest'
import { inRows } from './history-parts'

const told = (letters: string) => inRows([...letters].map(l => ({ kind: l.toLowerCase(), by: l === l.toLowerCase() ? 'Rua' : 'Ilka' }))).map(row => row.length)

it.each([
  ['', []],
  ['aaa', [1, 1, 1]],
  ['aaaa', [4]],
  ['abbbbbca', [1, 5, 1, 1]],
  // Another person's are another row.
  ['aaaaAAAA', [4, 4]],
  ['aaAaa', [1, 1, 1, 1, 1]],
])('entries “%s” stand in rows of %j', (letters, rows) => expect(told(letters)).toEqual(rows))
