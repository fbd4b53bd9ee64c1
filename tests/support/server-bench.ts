import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach } from 'vitest'
import { type CommandRequest, type MachineCommandName, commands } from '#shared/contracts/commands'
import type { LiveChange } from '#shared/contracts/views'
import { type Db, openDatabase } from '../../server/db/connection'
import { performOnCollection, performOnMachine } from '../../server/services/commands'
import { type PersonRow, findPerson, firstStart, grantSkills } from '../../server/services/people'
import { machineSheet } from '../../server/services/queries'
import { type Bench, carryOut } from '../../server/services/work'

/** A bench on a real database file for each test: its first coordinator, its clock, and what was announced. */
export function serverBench() {
  const on = {
    folder: '', db: undefined as unknown as Db, ilka: undefined as unknown as PersonRow, now: new Date(), heard: [] as LiveChange[],
    bench: undefined as unknown as Bench,
    bookIn: (more: Partial<CommandRequest<'book-in'>> = {}) =>
      (performOnCollection(on.bench, on.ilka, 'book-in', commands['book-in'].parse({ name: 'Petrel 8S', maker: 'Tarnwick Instruments', acquired: 'given', fromWhom: 'Oona Tveit', owner: 'the museum', place: 'Buoy shed 3', ...more })) as { tag: string }).tag,
    perform: <N extends MachineCommandName>(tag: string, name: N, input: CommandRequest<N>) => performOnMachine(on.bench, on.ilka, tag, name, commands[name].parse(input) as never),
    sheet: (tag: string) => machineSheet(on.db, on.now, tag),
  }
  beforeEach(() => {
    on.folder = mkdtempSync(join(tmpdir(), 'jolly-bench-'))
    on.db = openDatabase(on.folder)
    on.now = new Date('2026-03-03T19:00:00Z')
    on.heard = []
    on.bench = { db: on.db, now: () => on.now, announce: change => void on.heard.push(change) }
    const { id } = firstStart(on.bench, { collection: 'Skerrow Head', name: 'Ilka Brandvold', signInName: 'ilka', passwordHash: '$scrypt$a-hash-of-some-length' })
    carryOut(on.bench, { id, name: 'Ilka Brandvold' }, work => grantSkills(work, { personId: id, version: 1, skills: ['mains', 'picture-tube', 'lifting'] }))
    on.ilka = findPerson(on.db, id)!
    on.heard = []
  })
  afterEach(() => {
    on.db.$client.close()
    rmSync(on.folder, { recursive: true })
  })
  return on
}
