import { sql } from 'drizzle-orm'
import { describe, expect, it } from 'vitest'
import { judgeBuildUp } from '#core/retest/build-up'
import { goodFacts } from '../../../tests/support/good-facts'
import { serverBench } from '../../../tests/support/server-bench'
import { addPerson, findBySignIn } from '../people/index'
import { carryOut } from '../../kernel/carry-out'
import { readCommandInput } from '#shared/chapters/index'
import { performOnCollection, performOnMachine } from '../../kernel/perform'
import { soakBySecret } from './index'

const on = serverBench()
const { perform, sheet } = on
const begin = (tag: string, more: object = {}) =>
  (
    perform(tag, 'begin-soak', { what: 'Memory test', seenFailures: 1, seenPasses: 20, confidencePct: 95, secondsAPass: null, ...more } as never) as {
      soakId: number
    }
  ).soakId
const against = (tag: string) => sheet(tag).signOff.findings.find(f => f.code.startsWith('sign-off.soak'))

it('a soak stands against the sign-off until it is passed, and is kept whatever becomes of the page or the server', () => {
  const tag = on.bookIn({})
  expect(() => begin(tag, { seenFailures: 20 })).toThrow('needs no soak')
  expect(() => begin(tag, { seenFailures: 0 })).toThrow('at least one')
  const soakId = begin(tag)
  expect(against(tag)).toMatchObject({ level: 'stop', says: 'Soak not finished: Memory test.' })
  const tally = (passes: number, failures = 0) => perform(tag, 'tally-soak', { soakId, passes, failures } as never)
  expect(() => tally(1, 2)).toThrow('no more than the 1')
  tally(30)
  expect(() => perform(tag, 'end-soak', { soakId, note: '' } as never)).toThrow('not decided yet')
  // One failure in twenty, 95 %: 380 clean passes, for n clean ones after one failure in twenty have the odds 20 / (20 + n).
  for (let n = 0; n < 3; n++) tally(100)
  tally(49)
  expect(against(tag)!.level).toBe('stop')
  tally(1)
  expect(against(tag)).toMatchObject({ level: 'fine' })
  perform(tag, 'end-soak', { soakId, note: '' } as never)
  expect(() => tally(1)).toThrow('has ended')
  expect(sheet(tag).soaks).toMatchObject([{ passes: 380, failures: 0 }])
})

it('a tally is taken back at once, as long as it is the newest; a failure that was seen stays', () => {
  const tag = on.bookIn({})
  const soakId = begin(tag)
  const tally = (passes: number, failures: number, take = '') => perform(tag, `${take}tally-soak` as 'tally-soak', { soakId, passes, failures } as never)
  tally(30, 0)
  tally(1, 1)
  expect(() => tally(1, 0, 'un')).toThrow('Something else has been tallied')
  tally(1, 1, 'un')
  expect(sheet(tag).soaks).toMatchObject([{ passes: 30, failures: 0 }])
  expect(() => tally(1, 1, 'un')).toThrow('Something else has been tallied')
  tally(30, 0, 'un')
  expect(sheet(tag).soaks).toMatchObject([{ passes: 0, failures: 0 }])
  expect(() => tally(0, 0, 'un')).toThrow('Something else has been tallied')
  tally(1, 1)
  on.now = new Date(on.now.getTime() + 121_000)
  expect(() => tally(1, 1, 'un')).toThrow('more than two minutes ago')
  expect(against(tag)).toMatchObject({ level: 'stop', says: 'Soak failed: Memory test.' })
})

it('one failure says not cured, and keeps it from being signed off', () => {
  const tag = on.bookIn({})
  const soakId = begin(tag)
  perform(tag, 'tally-soak', { soakId, passes: 40, failures: 1 } as never)
  expect(against(tag)).toMatchObject({ level: 'stop', says: 'Soak failed: Memory test.' })
  perform(tag, 'end-soak', { soakId, note: 'Written down as a fault' } as never)
  // Ended, it stands; so it does beside an easier one that was passed, until something was mended and one as hard was passed.
  expect(against(tag)).toMatchObject({ level: 'stop', says: 'Soak failed, and was ended: Memory test.' })
  const pass = (more: object, passes: number) => {
    on.now = new Date(on.now.getTime() + 60_000)
    perform(tag, 'tally-soak', { soakId: begin(tag, more), passes, failures: 0 } as never)
    return sheet(tag).signOff.findings.filter(f => f.code === 'sign-off.soak' && f.level === 'stop').length
  }
  expect([pass({ seenFailures: 10 }, 20), pass({}, 380)]).toEqual([1, 1])
  on.now = new Date(on.now.getTime() + 60_000)
  perform(tag, 'report-fault', { symptom: 'Memory test fails now and then', firstSeen: '', stopsMachine: false } as never)
  perform(tag, 'repair-fault', { faultId: sheet(tag).faults[0]!.id, did: 'Socket cleaned', closes: true, cause: 'A socket' } as never)
  expect(pass({}, 380)).toBe(0)
})

/** Clear to run as it is connected now: answered, measured to ground, read under load. */
function clear(tag: string) {
  perform(tag, 'assess-power', { version: sheet(tag).power.version, facts: goodFacts, inspectedById: on.ilka.id } as never)
  perform(tag, 'expect-rails', { rails: [{ name: '+5 V', nominalV: 5 }] } as never)
  measured(tag)
}
const measured = (tag: string) =>
  perform(tag, 'measure-off-state', { rail: '+5 V', ohm: 200, reversedOhm: 300, leadsOhm: 0.2, loadAttached: false, rising: false } as never)
const another = (signInName: string) => {
  carryOut(on.bench, on.ilka, work => addPerson(work, { name: signInName, signInName, role: 'volunteer', passwordHash: 'x' } as never))
  return findBySignIn(on.db, signInName)!
}

describe('a build-up', () => {
  function begun() {
    const tag = on.bookIn({})
    for (const [i, name] of ['Supply', 'Main board', 'Video card', 'Case'].entries()) {
      const there =
        sheet(tag).assemblies.find(a => a.name === name) ?? (perform(tag, 'add-assembly', { name }), sheet(tag).assemblies.find(a => a.name === name)!)
      perform(tag, 'grade-assembly', { assemblyId: there.id, version: there.version, presence: 'present', grade: i % 2, note: '' })
    }
    for (const other of sheet(tag).assemblies.filter(a => !['Supply', 'Main board', 'Video card', 'Case'].includes(a.name)))
      perform(tag, 'grade-assembly', { assemblyId: other.id, version: other.version, presence: 'missing', grade: null, note: '' })
    clear(tag)
    perform(tag, 'plan-build-up', {})
    const step = (outcome: 'as-expected' | 'failed', seen = '', readings: { rail: string; valueV: number }[] = []) => {
      const { id: buildUpId, version } = sheet(tag).buildUp!
      const at = judgeBuildUp(sheet(tag).buildUp!.steps, sheet(tag).buildUp!.looks).at
      perform(tag, 'step-build-up', { buildUpId, version, step: at, outcome, seen, readings })
    }
    return { tag, step, connected: () => sheet(tag).power.configuration }
  }

  it('sets the gate’s configuration with each press, and goes back where a step fails', () => {
    const { tag, step, connected } = begun()
    expect(connected()).toEqual({ kind: 'supply-alone', out: [] })
    expect(() => perform(tag, 'plan-build-up', {})).toThrow('goes on already')
    // Nothing was measured as it is connected now: nobody can have seen it run.
    expect(() => step('as-expected')).toThrow('does not let it be started')
    measured(tag)
    expect(() => step('as-expected', '', [{ rail: '+5 V', valueV: 6.1 }])).toThrow('not as expected')
    step('as-expected', '', [{ rail: '+5 V', valueV: 5.02 }])
    expect(connected()).toMatchObject({ kind: 'partly', out: expect.arrayContaining(['Video card', 'Case']) as string[] })
    measured(tag)
    step('as-expected')
    expect(connected()).toMatchObject({ kind: 'partly', out: ['Case'] })
    step('failed', 'no sync, smoke from the video card')
    expect(sheet(tag).power.inForce).toBe('keep-off')
    expect(connected()).toMatchObject({ out: expect.arrayContaining(['Video card', 'Case']) as string[] })
    expect(sheet(tag).power.gate.findings.map(f => f.code)).toContain('build-up.back')
    expect(sheet(tag).signOff.findings.map(f => f.code)).toContain('sign-off.build-up')
    expect(sheet(tag).moves.map(m => m.code)).toContain('build-up')
    const { id: buildUpId, version } = sheet(tag).buildUp!
    expect(() => perform(tag, 'end-build-up', { buildUpId, version, note: '' })).toThrow('Say why it is given up')
    perform(tag, 'end-build-up', { buildUpId, version, note: 'The card is dead' })
    expect(sheet(tag)).toMatchObject({
      buildUp: null,
      faults: [{ symptom: 'Building it up with Video card: no sync, smoke from the video card', stopsMachine: true }],
    })
  })

  it('is changed beyond what has been looked at, and kept for the model; two people do not undo each other', () => {
    const { tag, step } = begun()
    measured(tag)
    step('as-expected')
    const change = (steps: string[][], version = sheet(tag).buildUp!.version) =>
      perform(tag, 'change-build-up', { buildUpId: sheet(tag).buildUp!.id, version, steps: steps.map(adds => ({ adds, expect: '' })), withModel: false })
    expect(() => change([['Main board'], ['Supply'], ['Video card'], ['Case']])).toThrow('looked at already')
    expect(() => change([['Supply'], ['Fan']])).toThrow('no “Fan”')
    change([['Supply'], ['Main board', 'Video card'], ['Case']])
    expect(sheet(tag).power.configuration).toMatchObject({ kind: 'partly', out: ['Case'] })
    expect(() => change([['Supply'], ['Main board'], ['Case']], 1)).toThrow('changed')
  })
})

describe('a test sheet', () => {
  it('is worked through; a failed line becomes a fault, and both stand against the sign-off', () => {
    const tag = on.bookIn({})
    clear(tag)
    perform(tag, 'take-reading', { rail: '+5 V', valueV: '5.02', load: 'loaded' } as never)
    perform(tag, 'begin-test-sheet', {})
    const look = (line: number, outcome: string, value: number | null = null, note = '') =>
      perform(tag, 'look-test-line', { sheetId: sheet(tag).testSheet!.id, line, outcome, value, note } as never)
    const { lines, id: sheetId } = sheet(tag).testSheet!
    expect(() => perform(tag, 'sign-off', { statement: 'x', limits: null })).toThrow('cannot be signed off')
    lines.forEach((line, i) => (line.kind === 'figure' ? look(i, 'passed', line.from ?? 40) : look(i, 'not-there')))
    expect(sheet(tag).signOff).toMatchObject({ allowed: true })
    look(0, 'failed', null, 'Q sticks')
    expect(
      sheet(tag)
        .signOff.findings.filter(f => f.level === 'stop')
        .map(f => f.code),
    ).toEqual(['sign-off.test'])
    expect(() => perform(tag, 'fault-from-line', { sheetId, line: 1, stopsMachine: true })).toThrow('has not failed')
    perform(tag, 'fault-from-line', { sheetId, line: 0, stopsMachine: true })
    expect(sheet(tag).faults).toMatchObject([{ symptom: `Test failed: ${lines[0]!.says}; Q sticks` }])
  })

  it('lets nobody have seen something pass that may not be started', () => {
    const tag = on.bookIn({})
    perform(tag, 'begin-test-sheet', {})
    expect(() => perform(tag, 'look-test-line', { sheetId: sheet(tag).testSheet!.id, line: 0, outcome: 'passed', value: null, note: '' })).toThrow(
      'nobody can have seen it pass',
    )
  })
})

it('is signed off by somebody else than the one who repaired it, with limits, and a repair ends it', () => {
  const tag = on.bookIn({})
  const rua = another('rua')
  clear(tag)
  perform(tag, 'take-reading', { rail: '+5 V', valueV: '5.02', load: 'loaded' } as never)
  perform(tag, 'report-fault', { symptom: 'No picture', firstSeen: '', stopsMachine: true } as never)
  const faultId = sheet(tag).faults[0]!.id
  perform(tag, 'repair-fault', { faultId, did: 'New U1', closes: true } as never)
  expect(sheet(tag).repairers).toEqual(['Ilka Brandvold'])
  expect(() => perform(tag, 'sign-off', { statement: 'All keys', limits: null })).toThrow('cannot be signed off')
  const limits = { hoursADay: 2, attended: true, noOriginalMedia: false }
  performOnMachine(on.bench, rua, tag, 'sign-off', { statement: 'All keys', limits })
  expect(sheet(tag).signOff.standing).toMatchObject({ by: 'rua', limits })
  expect(() => perform(tag, 'choose-life', { life: 'hands-on' })).toThrow('not yet')
  perform(tag, 'choose-life', { life: 'demonstration' })
  perform(tag, 'report-fault', { symptom: 'Hum', firstSeen: '', stopsMachine: false } as never)
  expect(sheet(tag).signOff.standing).not.toBeNull()
  perform(tag, 'repair-fault', { faultId: sheet(tag).faults[1]!.id, did: 'Moved a lead', closes: true } as never)
  expect(sheet(tag).signOff.standing).toBeNull()
})

it('a program posts passes under a secret, which is shown once, and ends with the soak or with another', () => {
  const tag = on.bookIn({})
  const soakId = begin(tag)
  const open = () => (perform(tag, 'open-soak-log', { soakId }) as { secret: string }).secret
  const secret = open()
  expect(soakBySecret(on.db, secret)).toMatchObject({ soakId, tag, person: { name: 'Ilka Brandvold' } })
  expect(JSON.stringify(sheet(tag))).not.toContain(secret)
  // Nothing that is kept holds it: only its hash is.
  for (const table of ['commands_done', 'soaks', 'journal']) expect(JSON.stringify(on.db.all(sql.raw(`SELECT * FROM ${table}`)))).not.toContain(secret)
  const second = open()
  for (const wrong of [secret, '', 'x']) expect(() => soakBySecret(on.db, wrong)).toThrow('No soak is open')
  perform(tag, 'end-soak', { soakId, note: 'given up' } as never)
  expect(() => soakBySecret(on.db, second)).toThrow('No soak is open')
})

it('what is set otherwise, or put back, ends a sign-off: it was proved as it stood', () => {
  const tag = on.bookIn({})
  clear(tag)
  perform(tag, 'take-reading', { rail: '+5 V', valueV: '5.02', load: 'loaded' } as never)
  perform(tag, 'note-settings', { assembly: 'Main board', typed: 'JP1: 1-2' } as never)
  const signOff = () => perform(tag, 'sign-off', { statement: 'All keys', limits: { hoursADay: 2, attended: true, noOriginalMedia: false } })
  const setting = () => sheet(tag).setup.settings[0]!
  signOff()
  perform(tag, 'change-setting', { settingId: setting().id, version: setting().version, to: '2-3', why: 'More memory' } as never)
  expect(sheet(tag).signOff.standing).toBeNull()
  signOff()
  perform(tag, 'put-back-setting', { settingId: setting().id, version: setting().version } as never)
  expect(sheet(tag).signOff.standing).toBeNull()
})

it.each<[string, (tag: string, give: (to: 'fitted' | 'promised') => void) => void, boolean]>([
  ['set aside for it', (_, give) => give('promised'), true],
  ['fitted', (_, give) => give('fitted'), false],
])('a part that is %s: the sign-off stands: %s', (_, does, stands) => {
  const tag = on.bookIn({})
  clear(tag)
  perform(tag, 'take-reading', { rail: '+5 V', valueV: '5.02', load: 'loaded' } as never)
  perform(tag, 'want-part', { name: 'Lid', quantity: 1, stops: 'looks' })
  const part = readCommandInput('hold-part', { name: 'Lid', condition: 'new', count: 1, at: 'shelf' })
  const { heldId } = performOnCollection(on.bench, on.ilka, 'hold-part', part as never).result as { heldId: number }
  perform(tag, 'sign-off', { statement: 'All keys', limits: { hoursADay: 2, attended: true, noOriginalMedia: false } })
  expect(sheet(tag).signOff.standing).not.toBeNull()
  does(tag, to => perform(tag, 'meet-need', { partId: sheet(tag).parts[0]!.id, heldId, version: 1, count: 1, to }))
  expect(sheet(tag).signOff.standing !== null).toBe(stands)
  if (stands) return
  expect(
    sheet(tag)
      .history.map(h => h.says)
      .join(),
  ).toContain('a part was fitted: Lid')
  perform(tag, 'sign-off', { statement: 'All keys', limits: { hoursADay: 2, attended: true, noOriginalMedia: false } })
  perform(tag, 'take-out-part', { heldId, version: sheet(tag).held[0]!.version })
  expect(sheet(tag).signOff.standing).toBeNull()
})
