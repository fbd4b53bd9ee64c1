import { appendFileSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach } from 'vitest'
import { seeded } from '#core/kernel/random'
import { type CollectionCommandName, type CommandRequest, type MachineCommandName, chapterNames, commands, readCommandInput } from '#shared/chapters/index'
import type { LiveChange } from '#shared/kernel/answers'
import { MachineQuery } from '#shared/kernel/machine'
import { type PersonRow, findPerson, firstStart, grantSkills } from '../../server/chapters/people/index'
import { openDatabase } from '../../server/db/connection'
import type { Db } from '../../server/kernel/db'
import { workOff } from '../../server/kernel/settling/caretaker'
import { historyOf } from '../../server/kernel/history/history'
import { listMachines } from '../../server/chapters/lists/index'
import { performOnCollection, performOnMachine } from '../../server/kernel/perform'
import { machineByTag, machineSheet } from '../../server/kernel/sheet'
import { carryOut } from '../../server/kernel/carry-out'
import type { Bench } from '../../server/kernel/work'
import type { ToldCommand } from '../../scripts/lib/demo-collection'

/** Hears each command before it is carried out, where the tests lead an attack on what commands take. */
async function hearer(): Promise<((told: ToldCommand) => void) | undefined> {
  const [seed, forMs, report] = process.env.JOLLY_EXTREMES?.split(' ') ?? []
  if (!report) return undefined
  const { tryExtremes } = await import('../../scripts/attack/extremes')
  const random = seeded(Number(seed))
  return told => appendFileSync(report, `${JSON.stringify(tryExtremes(told, random, Number(forMs)))}\n`)
}
const hears = await hearer()

/** A bench on a real database file for each test: its first coordinator, its clock, what was announced, and every statement that was run. */
export function serverBench() {
  const on = {
    folder: '',
    db: undefined as unknown as Db,
    ilka: undefined as unknown as PersonRow,
    now: new Date(),
    heard: [] as LiveChange[],
    statements: [] as string[],
    bench: undefined as unknown as Bench,
    /** Carries out a command on the collection, and works off in slices whatever it affects. */
    collection: <N extends CollectionCommandName>(name: N, input: CommandRequest<N> | object, person?: PersonRow) => {
      hears?.({ bench: on.bench, person: person ?? on.ilka, name, input, tag: undefined })
      const { result } = performOnCollection(on.bench, person ?? on.ilka, name, input as never)
      workOff(on.bench)
      return result
    },
    bookIn: (more: Partial<CommandRequest<'book-in'>> = {}) =>
      (
        on.collection(
          'book-in',
          commands['book-in'].parse({
            name: 'Petrel 8S',
            maker: 'Tarnwick Instruments',
            acquired: 'given',
            fromWhom: 'Oona Tveit',
            owner: 'the museum',
            place: 'Buoy shed 3',
            ...more,
          }),
        ) as { tag: string }
      ).tag,
    perform: <N extends MachineCommandName>(tag: string, name: N, input: CommandRequest<N>, person?: PersonRow) => {
      hears?.({ bench: on.bench, person: person ?? on.ilka, name, input, tag })
      const { result } = performOnMachine(on.bench, person ?? on.ilka, tag, name, readCommandInput(name, input) as never)
      workOff(on.bench)
      return result
    },
    sheet: (tag: string) => ({ ...machineSheet(on.bench, tag, chapterNames), history: historyOf(on.db, machineByTag(on.db, tag).id) }),
    list: (query: object = {}) => listMachines(on.db, MachineQuery.parse(query), on.now.toISOString()).rows,
  }
  beforeEach(() => {
    on.folder = mkdtempSync(join(tmpdir(), 'jolly-bench-'))
    on.statements = []
    on.db = openDatabase(on.folder, { hears: sql => void on.statements.push(sql) })
    on.now = new Date('2026-03-03T19:00:00Z')
    on.heard = []
    on.bench = { db: on.db, now: () => on.now, announce: change => void on.heard.push(change) }
    const { id } = firstStart(on.bench, {
      collection: 'Skerrow Head',
      name: 'Ilka Brandvold',
      signInName: 'ilka',
      passwordHash: '$scrypt$a-hash-of-some-length',
    })
    carryOut(on.bench, { id, name: 'Ilka Brandvold' }, work =>
      grantSkills(work, { personId: id, version: 1, skills: ['mains', 'picture-tube', 'inspection', 'lifting'] }),
    )
    on.ilka = findPerson(on.db, id)!
    on.heard = []
  })
  afterEach(() => {
    on.db.$client.close()
    rmSync(on.folder, { recursive: true })
  })
  return on
}
