import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { performance } from 'node:perf_hooks'
import { readCommandInput } from '#shared/chapters/index'
import { firstStart } from '../../server/chapters/people/index'
import { openDatabase } from '../../server/db/connection'
import { performOnCollection, performOnMachine } from '../../server/kernel/perform'
import { machineSheet } from '../../server/kernel/sheet'
import type { Bench } from '../../server/kernel/work'
import '../../server/chapters/index'
import { median, row } from './row'

/** How long it takes to write down what a machine is made of, and to look at it: 400 lines on ten boards. */
export function benchInventory() {
  const folder = mkdtempSync(join(tmpdir(), 'jolly-bench-inventory-'))
  const db = openDatabase(folder)
  try {
    const bench: Bench = { db, now: () => new Date(), announce: () => {} }
    const person = firstStart(bench, { collection: 'Made up', name: 'Ilka Brandvold', signInName: 'ilka', passwordHash: 'none' })
    const booked = readCommandInput('book-in', { name: 'Spindrift', maker: 'Halgarth', acquired: 'given', fromWhom: 'nobody', owner: 'the museum' })
    const { tag } = performOnCollection(bench, person, 'book-in', booked).result as { tag: string }
    const typed = Array.from({ length: 40 }, (_, i) => `U${i + 1} ${['4164', '74LS245', '2764 "part"', 'X991', '8255'][i % 5]} socketed 8${i % 9}17`).join('\n')
    row('\nWhat a machine is made of', 'median')
    const began = performance.now()
    for (let board = 1; board <= 10; board++)
      performOnMachine(bench, person, tag, 'list-inventory', readCommandInput('list-inventory', { assembly: `Board ${board}`, typed }))
    row('ten lists of 40 lines written down, each', `${((performance.now() - began) / 10).toFixed(1)} ms`)
    row(
      'the sheet with 400 lines',
      median(40, () => machineSheet(bench, tag, ['inventory'])),
    )
    row(
      'its whole stage',
      median(40, () => machineSheet(bench, tag, ['arrive', 'stewardship', 'look', 'inventory', 'setup', 'custody', 'opening'])),
    )
  } finally {
    db.$client.close()
    rmSync(folder, { recursive: true })
  }
}
