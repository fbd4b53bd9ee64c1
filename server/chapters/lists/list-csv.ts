import { setImmediate } from 'node:timers/promises'
import { lifeNames, stageNames } from '#core/kernel/stages'
import { gateWords } from '#core/safety/gate-words'
import { acquisitionNames } from '#shared/kernel/acquisitions'
import type { MachineQuery, MachineSummary } from '#shared/kernel/machine'
import { csvOf } from '../../kernel/csv'
import type { Tx } from '../../kernel/history/journal'
import { listMachines } from './list-machines'

/** A list of machines as a table to take away. */

const columns: Record<string, (machine: MachineSummary) => string | number> = {
  'Tag': m => m.tag,
  'Name': m => m.name,
  'Nickname': m => m.nickname,
  'Maker': m => m.maker,
  'Place': m => m.place,
  'On the bench': m => (m.onBench ? 'yes' : 'no'),
  'Stage': m => stageNames[m.stage],
  'Gate': m => gateWords[m.gate].title + (m.overruled ? ', overruled' : ''),
  'Open faults': m => m.openFaults.join('; '),
  'Waits': m => m.waits,
  'First wait ends (UTC)': m => m.nextWaitAt ?? '',
  'Next move': m => m.moves[0]?.says ?? '',
  'Gets worse by waiting': m => m.harm.findings.map(f => f.says).join('; '),
  'Life': m => (m.life ? lifeNames[m.life].title : ''),
  'Came': m => acquisitionNames[m.acquired],
  'Booked in (UTC)': m => m.bookedInAt,
}

const sliceSize = 200

/**
 * Everything that fits, in the order of the list: a heading line, then one line for each machine, RFC 4180, UTF-8 with the mark that spreadsheets
 * look for; what a spreadsheet would take for a formula is quoted. Written in slices, between which others are answered; a machine that changes
 * its place in the list meanwhile stands in it once or, at worst, not at all.
 */
export async function* machinesAsCsv(tx: Tx, query: Omit<MachineQuery, 'page' | 'size'>, now: string): AsyncGenerator<string> {
  yield '\uFEFF' + csvOf([Object.keys(columns)])
  const written = new Set<string>()
  for (let page = 1; ; page++) {
    const { rows } = listMachines(tx, { ...query, page, size: sliceSize }, now)
    const fresh = rows.filter(({ tag }) => !written.has(tag))
    for (const { tag } of fresh) written.add(tag)
    if (fresh.length) yield csvOf(fresh.map(machine => Object.values(columns).map(cell => cell(machine))))
    if (rows.length < sliceSize) return
    await setImmediate()
  }
}
