import { describe, expect, it } from 'vitest'
import { type ContaminationStep, looksAfter } from '#core/cleaning/contamination'
import { type CommandRequest, commands } from '#shared/chapters/index'
import { goodFacts as good } from '../../../tests/support/good-facts'
import { serverBench } from '../../../tests/support/server-bench'
import { workshopNow } from '../workshop/index'

const on = serverBench()
const { bookIn, perform, sheet } = on
const hours = (n: number) => (on.now = new Date(on.now.getTime() + n * 3_600_000))
/** A machine that the gate lets start, attended. */
function guarded() {
  const tag = bookIn()
  perform(tag, 'expect-rails', { rails: [{ name: '+5 V', nominalV: 5 }] })
  perform(tag, 'assess-power', { version: 1, facts: good, inspectedById: on.ilka.id })
  perform(tag, 'measure-off-state', { rail: '+5 V', ohm: 200, reversedOhm: 300, leadsOhm: 0.2, loadAttached: false, rising: false })
  expect(sheet(tag).gate.inForce).toBe('guarded-start')
  return tag
}
const part: CommandRequest<'say-cleaning-part'> = {
  partId: null,
  version: 0,
  name: 'Main board',
  materials: ['masked-board', 'speaker'],
  soils: ['dust', 'alkali'],
  works: 'dead',
  socketed: true,
}
const grey = { l: 84, a: -0.5, b: 5, error: 0.3 }

describe('the plan of a machine', () => {
  it('is made from its parts, done step by step, and what was wetted keeps it off until somebody says it is dry', () => {
    const tag = guarded()
    expect(() => perform(tag, 'make-cleaning-plan', {})).toThrow('Say first what its parts are made of')
    perform(tag, 'say-cleaning-part', part)
    perform(tag, 'make-cleaning-plan', {})
    const { steps } = sheet(tag).cleaning
    expect(steps[0]).toMatchObject({ method: 'acid-neutralise', waitHours: 6, cautions: ['battery'] })
    perform(tag, 'do-cleaning-step', { stepId: steps[0]!.id, version: steps[0]!.version, waitHours: 1 })
    // Shorter than the plan has it is not taken.
    expect(Date.parse(sheet(tag).waits[0]!.until) - on.now.getTime()).toBe(6 * 3_600_000)
    expect(sheet(tag).gate.inForce).toBe('keep-off')
    expect(() => perform(tag, 'do-cleaning-step', { stepId: steps[0]!.id, version: 2, waitHours: null })).toThrow('done already')
    hours(7)
    expect(sheet(tag).gate.inForce).toBe('not-yet-assessed')
    perform(tag, 'end-wait', { waitId: sheet(tag).waits[0]!.id })
    expect(sheet(tag).gate.inForce).toBe('guarded-start')
    // Made anew, it leaves what was done alone and does not ask for it again.
    perform(tag, 'make-cleaning-plan', {})
    expect(
      sheet(tag)
        .cleaning.steps.filter(s => s.method === 'acid-neutralise')
        .map(s => s.state),
    ).toEqual(['done'])
  })

  it('that neutralised something says so at the battery, and the battery at the plan; neither does the other by itself', () => {
    const tag = guarded()
    const battery = () => sheet(tag).power.batteries[0]!
    perform(tag, 'record-battery', { where: 'IC3', chemistry: 'nickel-cadmium', cells: 3, state: 'residue', fitted: false, charging: 'no' })
    perform(tag, 'say-cleaning-part', part)
    perform(tag, 'make-cleaning-plan', {})
    expect([battery().neutralisedInPlan, sheet(tag).cleaning.neutralisedBatteries]).toEqual([null, []])
    const [step] = sheet(tag).cleaning.steps
    perform(tag, 'do-cleaning-step', { stepId: step!.id, version: step!.version, waitHours: null })
    expect(battery()).toMatchObject({ state: 'residue', neutralisedInPlan: expect.stringContaining(', by Ilka') as string })
    perform(tag, 'step-battery', { batteryId: battery().id, version: battery().version, step: 'neutralised', lookedAt: [] })
    expect([battery().neutralisedInPlan, sheet(tag).cleaning.neutralisedBatteries]).toEqual([null, ['IC3']])
  })

  it('refuses a bath that would spoil the part, with the reason, and keeps nothing of it', () => {
    const tag = bookIn()
    const { partId } = perform(tag, 'say-cleaning-part', part) as { partId: number }
    const before = sheet(tag).history.length
    expect(() => perform(tag, 'add-cleaning-step', { partId, method: 'ultrasonic', soil: 'grease', minutes: 30 })).toThrow('never here. Speaker:')
    expect(() => perform(tag, 'add-cleaning-step', { partId, method: 'alkali-neutralise', soil: 'alkali', minutes: 30 })).toThrow('never here')
    expect([sheet(tag).cleaning.steps, sheet(tag).history.length]).toEqual([[], before])
  })

  it('lets what is added by hand dry as long as what was planned', () => {
    const tag = guarded()
    const { partId } = perform(tag, 'say-cleaning-part', { ...part, materials: ['masked-board'] }) as { partId: number }
    perform(tag, 'add-cleaning-step', { partId, method: 'wet-wash', soil: 'grease', minutes: 40 })
    const [step] = sheet(tag).cleaning.steps
    perform(tag, 'do-cleaning-step', { stepId: step!.id, version: step!.version, waitHours: null })
    expect([step!.waitHours, sheet(tag).gate.inForce]).toEqual([12, 'keep-off'])
  })

  it('takes a step back at once with the wait that it began and what it used, and later the step alone', () => {
    const tag = guarded()
    const { materialId } = on.collection('add-material', { name: 'Wash', unit: 'ml', amount: 500, lowAt: 400 }) as { materialId: number }
    const shelf = () => workshopNow(on.db, on.now.toISOString().slice(0, 10)).materials.find(m => m.id === materialId)!
    const { partId } = perform(tag, 'say-cleaning-part', { ...part, materials: ['masked-board'] }) as { partId: number }
    perform(tag, 'add-cleaning-step', { partId, method: 'wet-wash', soil: 'grease', minutes: 40 })
    const step = () => sheet(tag).cleaning.steps[0]!
    const stands = () => [step().state, sheet(tag).gate.inForce, sheet(tag).waits.length, shelf().amount, shelf().wantedSince !== null]
    const before = stands()
    const done = () => perform(tag, 'do-cleaning-step', { stepId: step().id, version: step().version, waitHours: null, uses: [{ materialId, amount: 120 }] })
    done()
    expect(stands()).toEqual(['done', 'keep-off', 1, 380, true])
    perform(tag, 'reopen-cleaning-step', { stepId: step().id })
    expect(stands()).toEqual(before)
    expect(() => perform(tag, 'reopen-cleaning-step', { stepId: step().id })).toThrow('open already')
    done()
    hours(1 / 30)
    perform(tag, 'reopen-cleaning-step', { stepId: step().id })
    // By then something may be wet.
    expect(stands()).toEqual(['open', 'keep-off', 1, 380, true])
  })

  it('takes over what a sister is made of, but not what is on her', () => {
    const { modelId } = on.collection(
      'add-model',
      commands['add-model'].parse({ maker: 'Tarnwick Instruments', name: 'Petrel 8S', variants: [], usualKit: [], assemblies: [], knownFaults: [], rails: [] }),
    ) as { modelId: number }
    const [one, other] = [bookIn({ modelId }), bookIn({ modelId })]
    expect(() => perform(other, 'take-over-parts', { from: one })).toThrow('is left to take over')
    expect(() => perform(other, 'take-over-parts', { from: 'SH-0000-000' })).toThrow('no machine of the same model')
    perform(one, 'say-cleaning-part', part)
    expect(sheet(other).cleaning.sisters).toMatchObject([{ tag: one, parts: 1 }])
    perform(other, 'take-over-parts', { from: one })
    expect(sheet(other).cleaning.parts[0]).toMatchObject({ materials: ['masked-board', 'speaker'], soils: ['dust'], works: 'not-known' })
  })
})

it('liquid goes out step by step, and only looking again under what the checks name opens the gate', () => {
  const tag = guarded()
  perform(tag, 'find-contamination', { kind: 'liquid', where: 'main board', says: 'A tide line' })
  const one = () => sheet(tag).cleaning.contaminations[0]!
  const step = (name: ContaminationStep, more: object = {}) =>
    perform(tag, 'step-contamination', { contaminationId: one().id, version: one().version, step: name, lookedAt: [], waitHours: null, ...more })
  expect([sheet(tag).gate.inForce, sheet(tag).moves[0]!.code]).toEqual(['keep-off', 'contamination'])
  expect(() => step('dried')).toThrow('First: Rinse it')
  step('rinsed', { waitHours: 8 })
  expect(sheet(tag).moves.some(m => m.code === 'wait.contamination')).toBe(true)
  expect(() => step('dried')).toThrow('Not yet: Drying after rinsing')
  hours(9)
  perform(tag, 'end-wait', { waitId: sheet(tag).waits[0]!.id })
  step('dried')
  expect(sheet(tag).gate.inForce).toBe('keep-off')
  expect(() => step('gone', { lookedAt: looksAfter('liquid').slice(1) })).toThrow('Not looked at yet')
  step('gone', { lookedAt: looksAfter('liquid') })
  expect([sheet(tag).gate.inForce, one().next]).toEqual(['guarded-start', null])
})

it('a breakage becomes a part wanted or a repair in the same press', () => {
  const tag = bookIn()
  const log = (becomes: 'part' | 'fault' | 'nothing') => perform(tag, 'log-breakage', { what: `Clip ${becomes}`, how: 'It was brittle', becomes, stops: false })
  for (const becomes of ['part', 'fault', 'nothing'] as const) log(becomes)
  expect(sheet(tag).parts.map(p => p.name)).toEqual(['Clip part'])
  expect(sheet(tag).faults.map(f => f.symptom)).toEqual(['Broken: Clip fault'])
  expect(sheet(tag).history.filter(e => e.kind === 'breakage.logged')).toHaveLength(3)
})

it('a reading is noted by how the gate stands now, though nobody has settled it since a wait ran out', () => {
  const tag = guarded()
  perform(tag, 'start-wait', { what: 'Main board', kind: 'wet', until: new Date(on.now.getTime() + 3_600_000).toISOString() })
  const take = () => perform(tag, 'take-reading', { rail: '+5 V', valueV: '5.02', load: 'loaded' })
  expect(take).toThrow('This machine is to be kept off. Was it on?')
  hours(2)
  take()
  expect(sheet(tag).readings.at(-1)).toMatchObject({ valueV: 5.02, keptOff: false })
})

it('a part dries by its mass: taken up early it is remembered, laid out again and dry it is not', () => {
  const tag = guarded()
  const dry = (more: number[]) => {
    perform(tag, 'start-drying', { what: 'Main board', massG: 322, errorG: 0.05, leftG: 0.2 })
    const id = sheet(tag).cleaning.dryings.at(-1)!.id
    for (const [i, after] of more.entries()) {
      hours(after)
      const at = more.slice(0, i + 1).reduce((sum, h) => sum + h, 0)
      perform(tag, 'weigh', { dryingId: id, massG: Number((300 + 22 * Math.exp(-at / 4)).toFixed(2)) })
    }
    return id
  }
  const early = dry([2, 2, 4])
  expect(sheet(tag).gate.inForce).toBe('keep-off')
  expect(() => perform(tag, 'end-drying', { dryingId: early, reason: '' })).toThrow('not dry by its mass')
  const weighedAt = (hoursAgo: number) => () =>
    perform(tag, 'weigh', { dryingId: early, massG: 302, weighedAt: new Date(on.now.getTime() - hoursAgo * 3_600_000).toISOString() })
  hours(3)
  expect(weighedAt(-1)).toThrow('that has not come yet')
  expect(weighedAt(3)).toThrow('a later weighing is on record')
  weighedAt(1)()
  expect(sheet(tag).cleaning.dryings[0]!.weighings.at(-1)).toMatchObject({ massG: 302, at: new Date(on.now.getTime() - 3_600_000).toISOString() })
  perform(tag, 'end-drying', { dryingId: early, reason: 'Wanted tonight' })
  expect(sheet(tag).cleaning.dryings[0]!.endedWet).toBe('Wanted tonight')
  const late = dry([2, 2, 4, 8, 14, 14, 28, 28, 50, 50])
  expect(sheet(tag).cleaning.dryings.at(-1)!.state).toBe('dry')
  perform(tag, 'end-drying', { dryingId: late, reason: '' })
  expect(sheet(tag).power.heard.filter(h => h.finding.code.startsWith('wait.'))).toEqual([])
})

it('a yellowed part is followed to stop, and no exposure is taken after that', () => {
  const tag = bookIn()
  perform(tag, 'follow-whitening', { name: 'Bezel', plastic: 'ABS', goalB: 1, reference: grey, first: { l: 74, a: 2, b: 24, error: 0.3 } })
  const one = () => sheet(tag).cleaning.whitenings[0]!
  const expose = (h: number) =>
    perform(tag, 'expose', { whiteningId: one().id, how: 'cream', hours: h, strengthPct: 12, temperatureC: null, turned: true, note: '' })
  for (const [h, b] of [
    [4, 15.5],
    [4, 10.2],
    [6, 5.9],
  ] as const) {
    expose(h)
    hours(h)
    expect(sheet(tag).moves.map(m => m.code)).toContain('measure-colour')
    perform(tag, 'measure-colour', { whiteningId: one().id, l: 80, a: 0, b, error: 0.3 })
    hours(1)
  }
  expect(one().colours.map(c => c.hours)).toEqual([0, 4, 8, 14])
  expect(() => expose(2)).toThrow('Stop now')
  perform(tag, 'end-whitening', { whiteningId: one().id, outcome: 'Matches the other half', relookOn: '2099-05-01' })
  expect(one().outcome).toBe('Matches the other half')
})

describe('what is laid bare, taken off or left', () => {
  it('bare copper is a next move until it is sealed with its pads free, and what hardens keeps the machine off', () => {
    const tag = guarded()
    perform(tag, 'find-bare-copper', { where: 'beside the battery' })
    expect(sheet(tag).moves.map(m => m.says)).toContain('Seal bare copper: beside the battery')
    const [copper] = sheet(tag).cleaning.coppers
    const seal = (padsFree: boolean) => perform(tag, 'seal-copper', { copperId: copper!.id, version: 1, withWhat: 'lacquer', padsFree })
    expect(() => seal(false)).toThrow('Pads: clear them first')
    seal(true)
    expect(sheet(tag).moves.map(m => m.says)).not.toContain('Seal bare copper: beside the battery')
    expect(sheet(tag).gate.inForce).toBe('keep-off')
    expect(() => seal(true)).toThrow('sealed it already')
  })

  it('small parts come back by their count; those that are missing are said, and wanted in the same press', () => {
    const tag = bookIn()
    perform(tag, 'count-parts-out', { what: 'Keycaps', out: 73, photographId: null })
    expect(() => perform(tag, 'count-parts-out', { what: 'Keycaps', out: 73, photographId: null })).toThrow('out already')
    const [counted] = sheet(tag).cleaning.counted
    const back = (many: number, more: object = {}) => perform(tag, 'count-parts-back', { countedId: counted!.id, version: 1, back: many, ...more })
    expect(() => back(74)).toThrow('73 were counted out')
    expect(() => back(72)).toThrow('1 of 73 are missing')
    back(72, { note: 'went down the sink', wants: true })
    expect(sheet(tag).parts).toMatchObject([{ name: 'Keycaps', quantity: 1, stops: 'no-start' }])
    expect(
      sheet(tag)
        .moves.map(m => m.says)
        .join(),
    ).not.toContain('Put back and count')
  })

  it('a stain that stays as patina is no soil any more, is told wherever somebody would try again, and crust never stays', () => {
    const tag = bookIn()
    const assemblyId = sheet(tag).assemblies.find(a => a.name === 'Case')!.id
    perform(tag, 'record-damage', { assemblyId, kind: 'stain', where: 'yellowed lid', extent: '', severity: 'clear' })
    perform(tag, 'record-damage', { assemblyId, kind: 'crust', where: 'battery', extent: '', severity: 'clear' })
    const soiled = () => sheet(tag).cleaning.guesses.find(g => g.name === 'Case')!.soils
    expect(soiled()).toContain('yellowing')
    const [stain, crust] = sheet(tag).damages
    perform(tag, 'leave-as-patina', { damageId: stain!.id, version: 1, reason: 'Its years at the ferry' })
    expect(soiled()).not.toContain('yellowing')
    expect(sheet(tag).cleaning.findings.map(f => f.says)).toEqual(['Stain, yellowed lid: it stays as patina; leave it alone.'])
    expect(() => perform(tag, 'leave-as-patina', { damageId: crust!.id, version: 1, reason: 'Looks old' })).toThrow('Crust goes on doing harm')
    // What turns out to be no stain is patina no longer.
    perform(tag, 'change-damage', { damageId: stain!.id, version: 2, assemblyId, kind: 'growth', where: 'lid', extent: '', severity: 'clear' })
    expect(sheet(tag).damages[0]!.patina).toBe('')
  })

  it('days in the sun are taken in once, and none after the colours said stop', () => {
    const tag = bookIn()
    perform(tag, 'follow-whitening', { name: 'Bezel', plastic: '', goalB: 1, reference: grey, first: { l: 72, a: 2, b: 24, error: 0.3 } })
    const { id } = sheet(tag).cleaning.whitenings[0]!
    hours(72)
    const take = (...days: [string, number][]) => perform(tag, 'import-exposures', { whiteningId: id, days: days.map(([day, h]) => ({ day, hours: h })) })
    expect(() => take(['2026-03-01', 4])).toThrow('2026-03-01 lies outside')
    expect(() => take(['2026-03-09', 4])).toThrow('2026-03-09 lies outside')
    take(['2026-03-04', 4], ['2026-03-05', 5.5])
    expect(() => take(['2026-03-04', 4])).toThrow('on record already')
    expect(take(['2026-03-04', 4], ['2026-03-06', 2])).toEqual({ days: 1 })
    expect(sheet(tag).cleaning.whitenings[0]).toMatchObject({ hours: 11.5 })
    perform(tag, 'measure-colour', { whiteningId: id, l: 85, a: -0.6, b: 3, error: 0.3 })
    hours(48)
    expect(() => take(['2026-03-07', 3])).toThrow('Only days before its last colour')
  })
})
