import { join } from 'node:path'
import Database from 'better-sqlite3'
import { describe, expect, it } from 'vitest'
import type { InputError } from '#core/kernel/input-error'
import { type CommandRequest, commands, sheetShape } from '#shared/chapters/index'
import { Passport } from '#shared/chapters/home/index'
import { MachineSummary } from '#shared/kernel/machine'
import { serverBench } from '../../tests/support/server-bench'
import { passportOf } from '../chapters/home/index'
import { wantedParts } from '../chapters/parts/index'
import { addPerson, changePerson, openSession, sessionStands, setPassword } from '../chapters/people/index'
import { NewerDatabaseError, openDatabase } from '../db/connection'
import { minutesBehind } from './history/clock-behind'
import { verifyChains } from './history/chains'
import { NotNow, Stale } from './refusals'
import { carryOut } from './carry-out'
import { goodFacts } from '../../tests/support/good-facts'

const on = serverBench()
const { bookIn, perform, sheet } = on

function clearToRun(tag: string) {
  perform(tag, 'assess-power', { version: sheet(tag).power.version, facts: goodFacts, inspectedById: on.ilka.id })
  perform(tag, 'expect-rails', { rails: [{ name: '+5 V', nominalV: 5 }] })
  perform(tag, 'measure-off-state', { rail: '+5 V', ohm: 200, reversedOhm: 300, leadsOhm: 0.2, loadAttached: false, rising: false })
  perform(tag, 'take-reading', { rail: '+5 V', valueV: '5.02', load: 'loaded' })
}

describe('booking in', () => {
  it('numbers, keeps everything that was said, and answers in the promised shape', () => {
    const tag = bookIn({ claims: ['It is only a fuse'], accessories: ['Mains lead'], dateCodes: [{ part: 'IC7', code: '8235' }], lastPowered: '1998' })
    expect(tag).toBe('M-2026-001')
    expect(bookIn()).toBe('M-2026-002')
    const seen = sheetShape.parse(sheet(tag)) as unknown as ReturnType<typeof sheet>
    expect(seen.claims[0]?.says).toBe('It is only a fuse')
    expect(seen.dateCodes[0]?.says).toBe('week 35 of 1982')
    expect(
      sheet(tag)
        .history.map(h => h.says)
        .at(-1),
    ).toBe('Booked in as M-2026-001: Petrel 8S by Tarnwick Instruments.')
    expect(on.list().map(m => MachineSummary.parse(m).tag)).toEqual(['M-2026-002', 'M-2026-001'])
  })

  it('refuses a day that has not come, and keeps nothing of it', () => {
    expect(() => bookIn({ lastPowered: '2027' })).toThrow(expect.objectContaining({ field: 'lastPowered' }) as InputError)
    expect(on.list()).toEqual([])
  })

  it.each<[string, Partial<CommandRequest<'book-in'>>]>([
    ['name', { name: ' ' }],
    ['fromWhom', { fromWhom: '' }],
    ['owner', { acquired: 'lent', owner: '' }],
    ['weightKg', { weightKg: 'heavy' }],
    ['lastPowered', { lastPowered: '1998-02-30' }],
    ['dateCodes.0.code', { dateCodes: [{ code: '8253' }] }],
  ])('names the field %s', (field, wrong) => {
    const result = commands['book-in'].safeParse({ name: 'Gannet', acquired: 'given', fromWhom: 'X', ...wrong })
    expect(result.error?.issues.map(i => i.path.join('.'))).toEqual([field])
    // Every message starts with the name of the field and says what would do.
    expect(result.error?.issues[0]?.message).toMatch(
      /^(Model or description|From whom|Whose it is|Weight|Last powered): .{10,}|^“8253” cannot be a date code\. .{10,}/,
    )
  })

  it('finds by name, claim, note and fault, by beginnings of words, whatever is typed', () => {
    const tag = bookIn({ nickname: 'Schoolroom', claims: ['smelt of burnt sugar'] })
    bookIn({ name: 'Gannet', maker: 'Pentreath Micro' })
    perform(tag, 'report-fault', { symptom: 'Rolling picture', stopsMachine: true })
    for (const typed of ['school', 'burnt sug', 'ROLL', tag]) expect(on.list({ find: typed }).map(m => m.tag)).toEqual([tag])
    for (const typed of ['" OR *', 'NEAR(', 'nothing like it']) expect(on.list({ find: typed })).toEqual([])
  })
})

it('keeps a claim as it was made, with what was found of it, and counts how its source has fared', () => {
  const tag = bookIn({ claims: ['It is only a fuse', 'Worked when stored'] })
  const other = bookIn({ claims: ['untested'] })
  const [claim] = sheet(tag).claims
  perform(tag, 'judge-claim', { claimId: claim!.id, version: 1, verdict: 'refuted', because: 'both fuses whole' })
  expect(() => perform(tag, 'judge-claim', { claimId: claim!.id, version: 1, verdict: 'confirmed', because: 'x' })).toThrow(Stale)
  expect(sheet(tag).claims[0]).toMatchObject({ says: 'It is only a fuse', verdict: 'refuted', because: 'both fuses whole' })
  expect(sheet(other).sourceFared).toEqual({ confirmed: 0, refuted: 1, undecided: 0, open: 2 })
})

it('dates a machine from its codes, and leaves a struck one out', () => {
  const tag = bookIn({ dateCodes: [{ code: '8235' }, { code: '8240' }, { code: '8241' }, { code: '8801', socketed: true }] })
  expect(sheet(tag).dating).toMatchObject({ likelyQuarter: '1982-Q4', leftOut: [{ code: '8801' }] })
  perform(tag, 'strike-entry', { entryId: sheet(tag).history.find(h => h.says.includes('8241'))!.id, reason: 'misread' })
  expect(sheet(tag).dating?.used.map(u => u.code)).toEqual(['8235', '8240'])
})

describe('the gate and the sign-off', () => {
  it('follow from facts and readings', () => {
    const tag = bookIn()
    expect(sheet(tag).power.inForce).toBe('not-yet-assessed')
    perform(tag, 'assess-power', { version: 1, facts: goodFacts, inspectedById: on.ilka.id })
    // “No short” was answered, and nothing was measured.
    expect(sheet(tag).power.inForce).toBe('not-yet-assessed')
    expect(() => perform(tag, 'sign-off', { statement: 'All keys' })).toThrow(NotNow)
    clearToRun(tag)
    expect(sheet(tag).power.inForce).toBe('clear-to-run')
    perform(tag, 'sign-off', { statement: 'All keys' })
    expect(sheet(tag).signOff.standing).toMatchObject({ by: 'Ilka Brandvold' })
  })

  it('a sign-off ends with what it rested on', () => {
    const tag = bookIn()
    clearToRun(tag)
    perform(tag, 'sign-off', { statement: 'All keys' })
    perform(tag, 'report-fault', { symptom: 'No picture', stopsMachine: true })
    expect(sheet(tag).signOff.standing).toBeNull()
    expect(sheet(tag).history[0]?.kind).toBe('sign-off.ended')
  })

  it('an overrule holds until the facts change', () => {
    const tag = bookIn()
    perform(tag, 'overrule-gate', { verdict: 'guarded-start', reason: 'Supply alone on the bench, board out' })
    expect(sheet(tag).power).toMatchObject({ inForce: 'guarded-start', gate: { verdict: 'not-yet-assessed' } })
    perform(tag, 'ask-question', { question: 'Whose initials are these?' })
    expect(sheet(tag).power.overrule).not.toBeNull()
    perform(tag, 'assess-power', { version: 1, facts: { burntTrace: 'yes' }, inspectedById: null })
    expect(sheet(tag).power).toMatchObject({ inForce: 'keep-off', overrule: null })
  })

  it('a struck reading no longer counts, and stays in the history', () => {
    const tag = bookIn()
    clearToRun(tag)
    // What harms is asked about once.
    expect(() => perform(tag, 'take-reading', { rail: '+5 V', valueV: 9, load: 'loaded' })).toThrow('right rail')
    perform(tag, 'take-reading', { rail: '+5 V', valueV: 9, load: 'loaded', sure: true })
    expect(sheet(tag).rails?.verdict).toBe('out')
    const wrong = sheet(tag).history.find(h => h.kind === 'reading.taken')!
    perform(tag, 'strike-entry', { entryId: wrong.id, reason: 'Probe was on the input' })
    expect(sheet(tag).rails?.verdict).toBe('good')
    expect(sheet(tag).history.find(h => h.id === wrong.id)?.struck?.reason).toBe('Probe was on the input')
    expect(() => perform(tag, 'strike-entry', { entryId: wrong.id, reason: 'again' })).toThrow(NotNow)
  })

  it('warns of a sister whose battery leaked, also once it was cleaned', () => {
    const tag = bookIn()
    on.db.$client.exec("INSERT INTO models (uid, name, assemblies, rails) VALUES ('m', 'Petrel 8S', '[]', '[]')")
    on.db.$client.exec('UPDATE machines SET model_id = 1')
    const sister = bookIn({ modelId: 1 })
    perform(tag, 'assess-power', { version: 1, facts: { battery: 'leaking' }, inspectedById: null })
    perform(tag, 'assess-power', { version: 2, facts: { battery: 'out' }, inspectedById: null })
    expect(sheet(sister).moves[0]?.code).toBe('battery-sister')
    expect(sheet(sister).harm.rank).toBeGreaterThan(0)
  })
})

describe('waits and parts', () => {
  it('a wait is over when its time has come, and can be ended once', () => {
    const tag = bookIn()
    expect(() => perform(tag, 'start-wait', { what: 'drying', until: '2026-03-03T18:00:00.000Z' })).toThrow(
      expect.objectContaining({ field: 'until' }) as InputError,
    )
    perform(tag, 'start-wait', { what: 'drying', until: '2026-03-04T08:00:00.000Z' })
    expect(sheet(tag).waits[0]?.over).toBe(false)
    on.now = new Date('2026-03-04T09:00:00Z')
    expect(sheet(tag).waits[0]?.over).toBe(true)
    const waitId = sheet(tag).waits[0]!.id
    perform(tag, 'end-wait', { waitId })
    expect(() => perform(tag, 'end-wait', { waitId })).toThrow(NotNow)
    expect(sheet(tag).waits).toEqual([])
    // Ended by a press too many, it goes on as it was, and can be ended again.
    perform(tag, 'resume-wait', { waitId })
    expect(() => perform(tag, 'resume-wait', { waitId })).toThrow(NotNow)
    expect(sheet(tag).waits).toMatchObject([{ id: waitId, over: true }])
    perform(tag, 'end-wait', { waitId })
  })

  it('lists wanted parts, those that stop a start first', () => {
    const tag = bookIn()
    perform(tag, 'want-part', { name: 'Keycap', quantity: 2, stops: 'no-start' })
    perform(tag, 'want-part', { name: 'Fuse', quantity: '1', stops: 'start' })
    expect(wantedParts(on.db, { page: 1, size: 50 }).rows.map(p => p.name)).toEqual(['Fuse', 'Keycap'])
    const { id, version } = wantedParts(on.db, { page: 1, size: 50 }).rows[0]!
    perform(tag, 'settle-part', { partId: id, version, outcome: 'fitted' })
    expect(wantedParts(on.db, { page: 1, size: 50 }).rows.map(p => p.name)).toEqual(['Keycap'])
  })

  it('says what hangs on a part, who looks for it and how it is lived with; what does not do is refused at its field', () => {
    const tag = bookIn()
    const names = () => wantedParts(on.db, { page: 1, size: 50 }).rows.map(p => p.name)
    perform(tag, 'want-part', { name: 'Badge', quantity: 1, stops: 'looks' })
    perform(tag, 'want-part', { name: 'Fan', quantity: 1, stops: 'start', workaround: 'one from outside' })
    perform(tag, 'want-part', {
      name: 'Sound chip',
      quantity: 1,
      stops: 'function',
      affects: 'sound',
      seekerId: on.ilka.id,
      byWhen: '2026-05-01',
      place: 'IC7',
    })
    perform(tag, 'want-part', { name: 'Fuse', quantity: 1, stops: 'start' })
    expect(names()).toEqual(['Fuse', 'Fan', 'Sound chip', 'Badge'])
    expect(() => perform(tag, 'want-part', { name: 'Drive', quantity: 1, stops: 'function' })).toThrow(expect.objectContaining({ field: 'affects' }) as Error)
    expect(() => perform(tag, 'want-part', { name: 'Drive', quantity: 1, stops: 'looks', seekerId: 99 })).toThrow('choose somebody')
    expect(wantedParts(on.db, { page: 1, size: 50 }).rows[2]).toMatchObject({ affects: 'sound', seeker: 'Ilka Brandvold', byWhen: '2026-05-01', place: 'IC7' })
    const { id, version } = wantedParts(on.db, { page: 1, size: 50 }).rows[1]!
    // Which function is no more, once it is something else that it stops.
    perform(tag, 'change-part', { partId: id, version, name: 'Fan', quantity: 2, stops: 'looks', affects: 'cooling' })
    expect(names()).toEqual(['Fuse', 'Sound chip', 'Badge', 'Fan'])
    expect(sheet(tag).parts.find(p => p.name === 'Fan')).toMatchObject({ quantity: 2, stops: 'looks', affects: '', workaround: '' })
    expect(() => perform(tag, 'change-part', { partId: id, version, name: 'Fan', quantity: 1, stops: 'looks' })).toThrow()
    expect(sheet(tag).moves.map(m => m.says)).toContain('Find Fuse')
    expect(sheet(tag).moves.map(m => m.says)).not.toContain('Find Fan')
  })
})

it('a stale change is answered with what stands now and who changed it', () => {
  const tag = bookIn()
  const { id, version } = sheet(tag).assemblies[0]!
  perform(tag, 'grade-assembly', { assemblyId: id, version, presence: 'present', grade: 2, note: 'dusty' })
  expect(() => perform(tag, 'grade-assembly', { assemblyId: id, version, presence: 'missing', grade: null })).toThrow(Stale)
  try {
    perform(tag, 'grade-assembly', { assemblyId: id, version, presence: 'missing', grade: null })
  } catch (stale) {
    expect((stale as Stale).details()).toMatchObject({ current: { presence: 'present', grade: 2, note: 'dusty', version: 2 }, changedBy: 'Ilka Brandvold' })
  }
})

it('what somebody said a part is for stays said by whoever grades it later', () => {
  const tag = bookIn()
  const { id } = sheet(tag).assemblies[0]!
  perform(tag, 'grade-assembly', { assemblyId: id, version: 1, presence: 'present', grade: 2, note: '', role: 'memory' })
  perform(tag, 'grade-assembly', { assemblyId: id, version: 2, presence: 'present', grade: 1, note: 'brushed' })
  expect(sheet(tag).assemblies[0]).toMatchObject({ role: 'memory', grade: 1, note: 'brushed' })
  perform(tag, 'grade-assembly', { assemblyId: id, version: 3, presence: 'present', grade: 1, note: '', role: 'sound' })
  expect(sheet(tag).assemblies[0]!.role).toBe('sound')
})

describe('the history', () => {
  it('is one whole chain a machine, and says which entry is broken', () => {
    const tag = bookIn({ claims: ['untested'] })
    expect(verifyChains(on.db)).toMatchObject({ broken: null, chains: 2 })
    expect(() => on.db.$client.exec("UPDATE journal SET by = 'Nobody' WHERE seq = 2")).toThrow(/append-only/)
    expect(() => on.db.$client.exec('DELETE FROM journal')).toThrow(/append-only/)
    on.db.$client.exec("DROP TRIGGER journal_is_not_changed; UPDATE journal SET data = replace(data, 'untested', 'tested') WHERE kind = 'claim.recorded'")
    expect(verifyChains(on.db).broken).toMatchObject({ chain: sheet(tag).uid, seq: 3, why: expect.stringContaining('hash') as string })
  })

  it('notices an end cut off', () => {
    bookIn()
    on.db.$client.exec('DROP TRIGGER journal_is_not_shortened; DELETE FROM journal WHERE id = (SELECT max(id) FROM journal)')
    expect(verifyChains(on.db).broken?.why).toContain('cut off')
  })

  it('is announced once kept, and not when refused', () => {
    const tag = bookIn()
    on.heard.length = 0
    expect(() => perform(tag, 'take-reading', { rail: '+5 V', valueV: 5, load: 'loaded' })).toThrow(expect.objectContaining({ field: 'rail' }) as InputError)
    expect(on.heard).toEqual([])
    expect(sheet(tag).readings).toEqual([])
    perform(tag, 'put-on-bench', { onBench: false })
    expect(on.heard).toMatchObject([
      { at: on.now.toISOString(), by: 'Ilka Brandvold', tags: [tag], kinds: ['bench.changed'], collection: false, machines: [{ tag, onBench: false }] },
    ])
  })
})

it('a passport shows neither donor, owner, place nor people, and nothing while it is off', () => {
  const tag = bookIn({ claims: ['worked for Oona Tveit'] })
  perform(tag, 'report-fault', { symptom: 'No sound', stopsMachine: true })
  perform(tag, 'switch-passport', { on: true })
  const token = sheet(tag).passport.path!.split('/').at(-1)!
  const shown = JSON.stringify(Passport.parse(passportOf(on.bench, token)))
  expect(shown).toContain('No sound')
  for (const secret of ['Oona', 'the museum', 'Buoy shed', 'Ilka']) expect(shown).not.toContain(secret)
  expect(token.length).toBeGreaterThanOrEqual(32)
  perform(tag, 'switch-passport', { on: false })
  expect(() => passportOf(on.bench, token)).toThrow(/switched off/)
})

it('refuses numbering and zones that would not do, at their fields', () => {
  const set = (more: object) =>
    on.collection('set-practice', {
      version: 1,
      name: 'Skerrow Head',
      school: 'baseline-first',
      numbering: 'SH-{n:3}',
      zone: 'Europe/Dublin',
      currency: 'EUR',
      batterySchool: 'remote-holder',
      ...more,
    })
  expect(() => set({ numbering: 'SH' })).toThrow(expect.objectContaining({ field: 'numbering' }) as InputError)
  expect(() => set({ zone: 'Skerrow/Head' })).toThrow(expect.objectContaining({ field: 'zone' }) as InputError)
  set({})
  expect(bookIn()).toBe('SH-001')
  expect(() => set({})).toThrow(Stale)
})

describe('people', () => {
  const change = (input: Parameters<typeof changePerson>[1]) => carryOut(on.bench, on.ilka, work => changePerson(work, input))

  it('keep one active coordinator', () => {
    expect(() => change({ personId: on.ilka.id, version: on.ilka.version, name: 'Ilka', role: 'volunteer', active: true })).toThrow(
      expect.objectContaining({ field: 'role' }) as InputError,
    )
    carryOut(on.bench, on.ilka, work => addPerson(work, { name: 'Baraka', signInName: 'baraka', role: 'coordinator', passwordHash: 'x' }))
    change({ personId: on.ilka.id, version: on.ilka.version, name: 'Ilka', role: 'volunteer', active: true })
  })

  it('a new password ends what was opened with the old one, and is in no entry', () => {
    const session = openSession(on.db, on.ilka.id, '', on.now)
    carryOut(on.bench, on.ilka, work => setPassword(work, { personId: on.ilka.id, passwordHash: '$scrypt$another-hash-of-another-one' }))
    expect(sessionStands(on.db, session, on.ilka.id, on.now)).toBe(false)
    expect(JSON.stringify(on.db.$client.prepare('SELECT data FROM journal').all())).not.toContain('another-hash')
  })
})

it('refuses a database of a newer program and leaves it as it is', () => {
  on.db.$client.exec("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 9999999999999)")
  expect(() => openDatabase(on.folder)).toThrow(NewerDatabaseError)
})

it('a clock that was set back is noticed, by how far it stands behind the newest entry', () => {
  on.bookIn()
  const at = (minutes: number) => minutesBehind(on.db, new Date(on.now.getTime() - minutes * 60_000))
  expect([at(-5), at(0), at(1), at(90)]).toEqual([0, 0, 0, 90])
  // What is written under it does not put it right.
  on.now = new Date(on.now.getTime() - 90 * 60_000)
  on.bookIn()
  expect(at(0)).toBe(90)
  expect(() => on.collection('confirm-clock', { minutes: 30 })).toThrow('90 minutes')
  on.collection('confirm-clock', { minutes: 90 })
  on.bookIn()
  expect([at(0), at(20)]).toEqual([0, 20])
  expect(() => on.collection('confirm-clock', { minutes: 0 })).toThrow('not behind')
})

it('keeps foreign keys and full synchronisation on', () => {
  const pragma = (name: string) => on.db.$client.pragma(name, { simple: true })
  expect([pragma('foreign_keys'), pragma('synchronous'), pragma('journal_mode')]).toEqual([1, 2, 'wal'])
  expect(new Database(join(on.folder, 'jolly-bench.sqlite'), { readonly: true }).pragma('integrity_check', { simple: true })).toBe('ok')
})
