import { eq, sql } from 'drizzle-orm'
import { getTableConfig } from 'drizzle-orm/sqlite-core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type MachineCommandName, commands } from '#shared/chapters/index'
import { assess } from '#core/planning/assess'
import { assembled, recordOf } from '../../server/kernel/assembled'
import { filesOf } from '../../server/kernel/files'
import type { Table } from '../../server/kernel/rows'
import { workOff } from '../../server/kernel/settling/caretaker'
import { loadFile } from '../../server/kernel/load'
import { performOnCollection, performOnMachine } from '../../server/kernel/perform'
import { searchTextOf } from '../../server/kernel/settling/search'
import { summaryOf } from '../../server/kernel/settling/summary'
import { machineByTag } from '../../server/kernel/sheet'
import { machineSummaries, machines } from '../../server/kernel/trunk'
import { serverBench } from '../support/server-bench'
import { goodFacts as good } from '../support/good-facts'

const on = serverBench()
const { bookIn, perform, sheet } = on
const model = {
  maker: 'Tarnwick Instruments',
  name: 'Petrel 8S',
  about: '',
  variants: [],
  usualKit: [],
  assemblies: ['Case', 'Board'],
  knownFaults: [],
  rails: [{ name: '+5 V', nominalV: 5 }],
}
const addModel = (more: object = {}) => (on.collection('add-model', commands['add-model'].parse({ ...model, ...more })) as { modelId: number }).modelId
const practice = () => on.db.$client.prepare('SELECT version FROM practice').pluck().get() as number
const setPractice = (more: object) =>
  on.collection('set-practice', {
    version: practice(),
    name: 'Skerrow Head',
    school: 'caps-first',
    numbering: 'M-{year}-{n:3}',
    zone: 'Europe/Dublin',
    currency: 'EUR',
    batterySchool: 'remote-holder',
    ...more,
  })

/** Stored summaries as they are, and as they would be if every machine were settled now. */
function summaries() {
  const stored = on.db.select().from(machineSummaries).all()
  return stored.map(row => {
    const file = loadFile(on.db, row.machineId)
    const { card, ...columns } = summaryOf(file, assess(recordOf(file), on.now.toISOString()))
    return { stored: row, fresh: { machineId: row.machineId, ...columns, card: JSON.stringify(card), searchHash: searchTextOf(file).hash } }
  })
}
const settledWhole = () => summaries().forEach(({ stored, fresh }) => expect(stored).toEqual(fresh))

describe('after any run of commands', () => {
  const anyFacts = fc.record(
    Object.fromEntries(
      Object.entries({
        battery: ['out', 'in', 'leaking', 'residue'],
        smoke: ['no', 'yes'],
        filterCapacitors: ['sound', 'replaced', 'cracked'],
        wiring: ['known', 'doubtful'],
      }).map(([name, values]) => [name, fc.constantFrom(...values)]),
    ),
    { requiredKeys: [] },
  )
  const step = fc.oneof(
    fc.record({ name: fc.constant('assess-power'), facts: anyFacts, signed: fc.boolean() }),
    fc.record({ name: fc.constant('take-reading'), valueV: fc.constantFrom(5, 4.2, 9) }),
    fc.record({ name: fc.constant('report-fault') }),
    fc.record({ name: fc.constant('start-wait'), hours: fc.integer({ min: 1, max: 90 }) }),
    fc.record({ name: fc.constant('later'), hours: fc.integer({ min: 1, max: 900 }) }),
    fc.record({ name: fc.constant('set-practice'), school: fc.constantFrom('caps-first', 'baseline-first') }),
    fc.record({ name: fc.constant('change-model'), nominalV: fc.constantFrom(5, 9) }),
    fc.record({ name: fc.constant('correct-identity'), known: fc.boolean() }),
    fc.record({ name: fc.constant('put-on-bench'), onBench: fc.boolean() }),
    fc.record({ name: fc.constant('overrule-gate') }),
    fc.record({ name: fc.constant('sign-off') }),
    fc.record({ name: fc.constant('measure-off-state') }),
    fc.record({ name: fc.constant('take-temperature') }),
    fc.record({ name: fc.constant('record-damage') }),
    fc.record({ name: fc.constant('settle-hazard'), state: fc.constantFrom('present', 'ruled-out') }),
  )
  it('what is stored of every machine is what it would be if it were settled anew', () => {
    const modelId = addModel()
    const tags = [bookIn({ modelId }), bookIn({ modelId }), bookIn({ name: 'Gannet' })]
    const run = fc.array(fc.tuple(fc.integer({ min: 0, max: 2 }), step), { minLength: 1, maxLength: 12 })
    fc.assert(
      fc.property(run, steps => {
        for (const [which, one] of steps) {
          const tag = tags[which]!
          const seen = sheet(tag)
          const anyStep = one as Record<string, unknown> as {
            name: string
            hours?: number
            facts?: object
            signed?: boolean
            valueV?: number
            known?: boolean
            onBench?: boolean
            state?: string
            school?: string
            nominalV?: number
          }
          const inputs: Partial<Record<string, object>> = {
            'assess-power': { version: seen.power.version, facts: { ...good, ...anyStep.facts }, inspectedById: anyStep.signed ? on.ilka.id : null },
            'take-reading': { rail: '+5 V', valueV: anyStep.valueV, load: 'loaded' },
            'measure-off-state': { rail: '+5 V', ohm: 200, reversedOhm: 300, leadsOhm: 0.2, loadAttached: false, rising: false },
            'take-temperature': { part: 'heat-sink', where: '', celsius: 110 },
            'record-damage': { assemblyId: null, kind: 'burn', where: 'R7', extent: '', severity: 'clear', photographId: null, mark: null },
            'report-fault': { symptom: 'No sound', stopsMachine: true },
            'start-wait': { what: 'drying', until: new Date(on.now.getTime() + (anyStep.hours ?? 1) * 3_600_000).toISOString() },
            'correct-identity': { ...seen.identity, name: anyStep.known ? 'Petrel 8S' : 'Something else', maker: 'Tarnwick Instruments' },
            'put-on-bench': { onBench: anyStep.onBench },
            'overrule-gate': { verdict: 'clear-to-run', reason: 'To see what comes of it' },
            'sign-off': { statement: 'All keys' },
            'settle-hazard': { kind: 'liquid', version: seen.hazards.find(h => h.kind === 'liquid')?.version ?? 0, state: anyStep.state, evidence: 'Looked' },
          }
          try {
            if (one.name === 'later') on.now = new Date(on.now.getTime() + (anyStep.hours ?? 1) * 3_600_000)
            else if (one.name === 'set-practice') setPractice({ school: anyStep.school })
            else if (one.name === 'change-model')
              on.collection('change-model', {
                modelId,
                version: on.db.$client.prepare('SELECT version FROM models').pluck().get(),
                ...commands['add-model'].parse({ ...model, rails: [{ name: '+5 V', nominalV: anyStep.nominalV }] }),
              })
            else perform(tag, one.name as MachineCommandName, inputs[one.name] as never)
          } catch (error) {
            // A refusal is an answer, and leaves nothing behind; anything else is not.
            if (!['InputError', 'NotNow', 'Stale'].some(name => (error as Error).constructor.name === name)) throw error
          }
          workOff(on.bench)
        }
        settledWhole()
      }),
      { numRuns: 25 },
    )
  }, 120_000)
})

describe('what many machines rest on', () => {
  function proved() {
    const tag = bookIn({ modelId: addModel() })
    perform(tag, 'assess-power', { version: 1, facts: { ...good, filterCapacitors: 'sound' }, inspectedById: on.ilka.id })
    perform(tag, 'measure-off-state', { rail: '+5 V', ohm: 200, reversedOhm: 300, leadsOhm: 0.2, loadAttached: false, rising: false })
    return tag
  }
  it('a stricter school ends overrules and sign-offs, in the name of whoever chose it', () => {
    setPractice({ school: 'baseline-first' })
    const tag = proved()
    perform(tag, 'take-reading', { rail: '+5 V', valueV: 5, load: 'loaded' })
    perform(tag, 'overrule-gate', { verdict: 'clear-to-run', reason: 'Watched for an hour by two of us' })
    perform(tag, 'sign-off', { statement: 'All keys' })
    on.heard = []
    setPractice({ school: 'caps-first' })
    expect(sheet(tag)).toMatchObject({ gate: { inForce: 'keep-off', overruled: false }, signOff: { standing: null } })
    expect(
      sheet(tag)
        .history.slice(0, 3)
        .map(h => [h.kind, h.by]),
    ).toEqual([
      ['sign-off.ended', 'Ilka Brandvold'],
      ['gate.changed', 'Ilka Brandvold'],
      ['gate.overrule-ended', 'Ilka Brandvold'],
    ])
    expect(on.list({ gate: 'keep-off' }).map(m => m.tag)).toEqual([tag])
    // The answer came first, the machine in a message of its own after it, with how far it has got.
    expect(on.heard[0]).toMatchObject({ kinds: ['practice.set'], tags: [], collection: true })
    expect(on.heard[1]).toMatchObject({ tags: [tag], machines: [{ tag, gate: 'keep-off' }], progress: { what: 'settling', done: 1, of: 1 } })
    settledWhole()
  })

  it('a supply whose label was wrong closes the gate and ends the sign-off', () => {
    const tag = proved()
    perform(tag, 'assess-power', { version: 2, facts: { ...good, mainsLead: 'not-used', filterCapacitors: 'none-fitted' }, inspectedById: on.ilka.id })
    perform(tag, 'expect-inlet', { inlet: { voltageV: 9, kind: 'dc', polarity: 'centre-negative', currentA: 1 } })
    const label = { voltageV: 9, kind: 'dc' as const, polarity: 'centre-negative' as const, currentA: 1.5, regulated: true }
    const { supplyId } = on.collection('add-supply', commands['add-supply'].parse({ name: 'S-1', label })) as { supplyId: number }
    perform(tag, 'assign-supply', { supplyId })
    perform(tag, 'take-reading', { rail: '+5 V', valueV: 5, load: 'loaded' })
    perform(tag, 'sign-off', { statement: 'All keys' })
    on.collection('change-supply', commands['change-supply'].parse({ name: 'S-1', label: { ...label, voltageV: 18 }, supplyId, version: 1, active: true }))
    expect(sheet(tag)).toMatchObject({ gate: { inForce: 'keep-off' }, signOff: { standing: null } })
    expect(on.list()[0]).toMatchObject({ gate: 'keep-off' })
  })

  it('a leak warns the sisters on every list, and its end, and a machine that turns out to be one', () => {
    const modelId = addModel()
    const [tag, sister] = [bookIn({ modelId }), bookIn({ modelId })]
    const rank = (of: string) => on.list().find(m => m.tag === of)!.harm.rank
    perform(tag, 'record-battery', { where: 'IC3', chemistry: 'nickel-cadmium', cells: 3, state: 'leaking', fitted: true, charging: 'yes' })
    expect(rank(sister)).toBeGreaterThan(0)
    const other = bookIn({ name: 'Petrel 8 S' })
    expect(rank(other)).toBe(0)
    perform(other, 'correct-identity', { ...sheet(other).identity, name: 'Petrel 8S' })
    expect(rank(other)).toBeGreaterThan(0)
    perform(tag, 'correct-identity', { ...sheet(tag).identity, name: 'Gannet' })
    expect([rank(sister), rank(other)]).toEqual([0, 0])
    settledWhole()
  })

  it('a model that came after its machine holds for it once somebody says so, and opens nothing that it closed', () => {
    const tag = bookIn({ weightKg: '8' })
    expect(sheet(tag).joins).toBeNull()
    const modelId = addModel()
    expect(sheet(tag)).toMatchObject({ joins: { modelId, name: 'Petrel 8S' }, expectedRails: [] })
    const another = addModel({ name: 'Petrel 8', rails: [] })
    expect(() => perform(tag, 'join-model', { modelId: another })).toThrow('Correct either first')
    const before = sheet(tag).gate.inForce
    perform(tag, 'join-model', { modelId })
    expect(sheet(tag)).toMatchObject({ joins: null, expectedRails: [{ name: '+5 V' }] })
    expect(sheet(tag).gate.inForce).toBe(before)
    expect(() => perform(tag, 'join-model', { modelId })).toThrow('of a known model already')
    settledWhole()
  })

  it('rails that no reading can be held against are refused, and where they stand already they stop their own machine alone', () => {
    const twice = [
      { name: '+5 V', nominalV: 5 },
      { name: '+5 V', nominalV: 12 },
    ]
    expect(commands['add-model'].safeParse({ ...model, rails: twice }).error?.issues[0]?.message).toContain('named twice')
    expect(commands['expect-rails'].safeParse({ rails: [{ name: 'ground', nominalV: 0 }] }).error?.issues[0]?.message).toContain('0 V is ground')
    const [tag, other] = [bookIn({ modelId: addModel() }), bookIn({ name: 'Gannet' })]
    on.db.$client.prepare('UPDATE models SET rails = ?').run(JSON.stringify(twice))
    perform(tag, 'put-on-bench', { onBench: false })
    perform(other, 'put-on-bench', { onBench: false })
    expect(on.list().map(m => [m.tag, m.gate])).toEqual([
      [other, 'not-yet-assessed'],
      [tag, 'keep-off'],
    ])
    expect(sheet(tag).power.gate.findings[0]).toMatchObject({ level: 'stop', says: 'The rail +5 V cannot be judged.' })
  })

  it('a row that no rule can read is a stop on its own machine, whose sheet is shown but for it', () => {
    const [tag, other] = [bookIn(), bookIn()]
    perform(tag, 'record-battery', { where: 'IC3', chemistry: 'alkaline', cells: 2, state: 'sound', fitted: true, charging: 'no' })
    on.db.$client.exec("UPDATE batteries SET chemistry = 'plutonium'")
    for (const one of [tag, other]) perform(one, 'put-on-bench', { onBench: false })
    expect(on.list().map(m => m.gate)).toEqual(['not-yet-assessed', 'keep-off'])
    const seen = sheet(tag)
    expect(seen.unreadable.map(u => u.chapter)).toEqual(['power'])
    expect([seen.gate.inForce, seen.assemblies.length > 0]).toEqual(['keep-off', true])
    expect(() => perform(tag, 'sign-off', { statement: 'All keys' })).toThrow(/cannot be signed off/)
  })

  it('a fitted battery that is taken out again is in the history, as the gate hears of it', () => {
    const tag = bookIn()
    const battery = {
      where: 'IC3',
      chemistry: 'nickel-cadmium' as const,
      cells: 3,
      year: 1986,
      state: 'sound' as const,
      fitted: false,
      charging: 'yes' as const,
    }
    perform(tag, 'record-battery', battery)
    const change = (version: number, replacement: object | null) =>
      perform(tag, 'change-battery', { batteryId: sheet(tag).power.batteries[0]!.id, version, ...battery, replacement } as never)
    change(1, { how: 'diode-cell', chemistry: 'lithium-coin', diode: false })
    change(2, null)
    expect(
      sheet(tag)
        .history.map(h => h.kind)
        .slice(0, 2),
    ).toContain('battery.changed')
  })
})

describe('time alone', () => {
  it('ends a wait at its instant, and tells the pages', () => {
    const tag = bookIn()
    perform(tag, 'start-wait', { what: 'drying', until: '2026-03-04T08:00:00Z' })
    expect(on.list()[0]).toMatchObject({ nextWaitAt: '2026-03-04T08:00:00.000Z' })
    on.heard = []
    on.now = new Date('2026-03-04T07:59:59.999Z')
    workOff(on.bench)
    expect(on.heard).toEqual([])
    on.now = new Date('2026-03-04T08:00:00.000Z')
    workOff(on.bench)
    expect(on.heard).toMatchObject([
      { by: 'Jolly Bench', tags: [tag], machines: [{ moves: expect.arrayContaining([expect.objectContaining({ code: 'wait-over' })]) }] },
    ])
    settledWhole()
  })
})

describe('the file of a machine', () => {
  /** Puts a row of made-up nothings into a table, past everything that the program knows of. */
  function putRow(table: Table, given: Record<string, unknown>) {
    const { $client } = on.db
    $client.pragma('foreign_keys = OFF')
    const { name } = getTableConfig(table)
    const wanted = ($client.pragma(`table_info(${name})`) as { name: string; type: string; notnull: number; dflt_value: unknown; pk: number }[])
      .filter(c => c.name in given || (c.notnull && c.dflt_value === null && !c.pk))
      .map(c => [c.name, given[c.name] ?? (/int|real/i.test(c.type) ? 1 : '{}')] as const)
    const names = wanted.map(([column]) => `"${column}"`)
    $client.prepare(`INSERT OR REPLACE INTO ${name} (${names.join()}) VALUES (${names.map(() => '?').join()})`).run(...wanted.map(([, value]) => value))
  }

  it('follows whatever is written in any table, though only that is read again', () => {
    const tag = bookIn({ modelId: addModel() })
    const { id } = machineByTag(on.db, tag)
    perform(tag, 'report-fault', { symptom: 'No sound', stopsMachine: true } as never)
    const faultId = loadFile(on.db, id).faults[0]!.id
    const tables = Object.values(assembled().rows).flatMap(({ table, within }) => [table, ...within])
    expect(tables.length).toBeGreaterThan(40)
    for (const table of tables) {
      const files = filesOf(on.db, on.db)
      const before = files.ofNow(id)
      on.statements = []
      files.tx
        .delete(table)
        .where(sql`0`)
        .run()
      putRow(table, { machine_id: id, fault_id: faultId, version: 9 })
      const { name } = getTableConfig(table)
      expect(files.ofNow(id), name).toEqual(loadFile(on.db, id))
      expect(before, name).not.toEqual(loadFile(on.db, id))
      expect(files.ofNow(id), name).toBe(files.ofNow(id))
    }
  })

  it('follows its own name, what others of its model went through, and whatever a sentence of SQL may have done', () => {
    const modelId = addModel()
    const tags = [bookIn({ modelId }), bookIn({ modelId })]
    const [id, other] = tags.map(tag => machineByTag(on.db, tag).id) as [number, number]
    const files = filesOf(on.db, on.db)
    expect(files.ofNow(id)).toMatchObject({ machine: { place: 'Buoy shed 3' }, sisters: { all: 1, leaked: 0 } })
    files.tx.update(machines).set({ place: 'Loft' }).run()
    files.tx.update(machineSummaries).set({ batteryLeaked: true }).where(eq(machineSummaries.machineId, other)).run()
    expect(files.ofNow(id)).toMatchObject({ machine: { place: 'Loft' }, sisters: { all: 1, leaked: 1 } })
    files.tx.run(sql`UPDATE machines SET place = 'Quay'`)
    expect(files.ofNow(id).machine.place).toBe('Quay')
  })
})

describe('one transaction', () => {
  const loadsWhole = (sql: string) => /from "machines"/.test(sql) && /"sign_?offs"/i.test(sql) && /"readings"/.test(sql)

  it('takes no more than thirty statements for a reading, loads its machine once, and is told once', () => {
    const tag = bookIn({ modelId: addModel() })
    perform(tag, 'take-reading', { rail: '+5 V', valueV: 5, load: 'loaded' })
    on.heard = []
    on.statements = []
    performOnMachine(on.bench, on.ilka, tag, 'take-reading', { rail: '+5 V', valueV: 4.99, load: 'loaded', sure: false })
    expect(on.statements.length).toBeLessThanOrEqual(30)
    expect(on.statements.length).toBeGreaterThan(5)
    expect(on.statements.filter(loadsWhole)).toHaveLength(1)
    expect(on.heard).toHaveLength(1)
    expect(on.heard[0]).toMatchObject({ kinds: ['reading.taken'], tags: [tag] })
  })

  it('under the id of one that was carried out is answered as that was, and refused to anybody else', () => {
    const id = '0190d3a5-7f00-7c11-8a00-000000000001'
    const add = (person = on.ilka, name: 'add-model' | 'add-supply' = 'add-model', asked = 'a model') =>
      performOnCollection(on.bench, person, name, commands['add-model'].parse(model) as never, { id, asked })
    const { result } = add()
    expect(add()).toEqual({ result, change: null })
    expect(() => add({ ...on.ilka, id: 77 })).toThrow(/Another command/)
    expect(() => add(on.ilka, 'add-supply')).toThrow(/Another command/)
    expect(() => add(on.ilka, 'add-model', 'another model')).toThrow(/Another command/)
    expect(on.db.$client.prepare('SELECT count(*) FROM models').pluck().get()).toBe(1)
  })

  it('a lot is booked in slice by slice, told as it goes, and goes on after a restart', () => {
    const row = { name: 'Gannet', acquired: 'found', fromWhom: 'the ferry terminal' }
    on.heard = []
    const { result } = performOnCollection(on.bench, on.ilka, 'book-in-lot', commands['book-in-lot'].parse({ machines: Array<object>(40).fill(row) }))
    expect(on.list()).toEqual([])
    // Whoever opens the database next goes on with it.
    workOff({ db: on.db, now: () => on.now, announce: change => void on.heard.push(change) })
    expect(on.list({ size: 100 })).toHaveLength(40)
    expect(result).toMatchObject({ of: 40 })
    expect(on.heard.at(-1)?.progress).toMatchObject({ what: 'lot', done: 40, of: 40, trouble: '' })
    expect(on.heard.flatMap(h => h.tags)).toHaveLength(40)
  })
})

it('lists are filtered, sorted and paged by the server', () => {
  const tags = Array.from({ length: 5 }, (_, i) => bookIn({ nickname: `Lamp ${i}` }))
  perform(tags[1]!, 'assess-power', { version: 1, facts: { battery: 'leaking' }, inspectedById: null })
  perform(tags[2]!, 'put-on-bench', { onBench: false })
  const found = (query: object) => on.list(query).map(m => m.tag)
  expect(found({ size: 2, page: 2 })).toEqual([tags[2], tags[1]])
  expect(found({ gate: 'keep-off' })).toEqual([tags[1]])
  expect(found({ bench: 'off' })).toEqual([tags[2]])
  expect(found({ sort: 'harm' })[0]).toBe(tags[1])
  expect(found({ find: 'lamp 4' })).toEqual([tags[4]])
  expect(found({ find: 'lamp', gate: 'keep-off' })).toEqual([tags[1]])
  expect(found({ find: '&&' })).toEqual([])
  expect(machineByTag(on.db, tags[0]!).tag).toBe(tags[0])
})
