import { readFileSync, rmSync } from 'node:fs'
import { Readable } from 'node:stream'
import PostalMime from 'postal-mime'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { commands } from '#shared/chapters/index'
import { serverBench } from '../../../tests/support/server-bench'
import { keepImage } from '../../files/image-file'
import { fillOutbox, messageOfLetter, outboxFile } from '../../outbox/outbox'
import { lotOf } from '../arrive/index'
import { listModels } from '../models/index'
import { modelPage } from '../sharing/index'
import { letterOf } from '../stewardship/index'
import { rememberFile } from './index'

const on = serverBench()
const { bookIn, perform, sheet } = on
const allFour = (name: 'hoursLow' | 'costLow', low: number, high: number) => ({ [name]: low, [name.replace('Low', 'High')]: high })
const appraisal = {
  version: 0,
  significance: { historic: 3, research: 1, rarity: 1, completeness: 2, show: 2 },
  ...allFour('hoursLow', 10, 20),
  ...allFour('costLow', 20, 300),
  irreplaceable: [],
} as never

async function photograph(tag: string, caption = 'Board') {
  const file = await keepImage(
    on.folder,
    Readable.from([
      await sharp({ create: { width: 2000, height: 1000, channels: 3, background: { r: 30, g: 90 + caption.length, b: 60 } } })
        .jpeg()
        .toBuffer(),
    ]),
  )
  rememberFile(on.db, file, on.now)
  return (perform(tag, 'add-photograph', { hash: file.hash, name: 'board.jpg', caption }) as { photographId: number }).photographId
}

describe('photographs', () => {
  it('a mark gets its millimetres from the scale, also one that was there before', async () => {
    const tag = bookIn()
    const photographId = await photograph(tag)
    const mark = {
      form: 'polygon' as const,
      points: [
        [0, 0],
        [0.1, 0],
        [0.1, 0.2],
        [0, 0.2],
      ] as [number, number][],
    }
    perform(tag, 'record-damage', { kind: 'crust', where: 'beside the battery', severity: 'severe', photographId, mark })
    expect(sheet(tag).damages[0]?.extent).toBe('')
    perform(tag, 'set-scale', { photographId, version: 1, scale: { from: [0, 0], to: [0.1, 0], distanceMm: 50 } })
    expect(sheet(tag).damages[0]?.extent).toBe('about 2500 mm²')
    expect(() => perform(tag, 'set-scale', { photographId, version: 2, scale: { from: [0, 0], to: [0, 0], distanceMm: 50 } })).toThrow(/on top of each other/)
    expect(() => perform(tag, 'record-damage', { kind: 'crust', where: 'x', severity: 'slight', photographId })).toThrow(/needs its photograph/)
  })

  it('a machine is known by one picture: the one chosen last, and none once that is struck or taken off', async () => {
    const tag = bookIn()
    const first = await photograph(tag, 'Front')
    expect([sheet(tag).portrait, on.list().find(m => m.tag === tag)!.portrait]).toEqual([null, null])
    perform(tag, 'choose-portrait', { photographId: first, chosen: true })
    const { hash } = sheet(tag).photographs[0]!
    expect([sheet(tag).portrait, on.list().find(m => m.tag === tag)!.portrait]).toEqual([{ photographId: first, hash }, hash])
    const second = await photograph(tag, 'Front, cleaned')
    perform(tag, 'choose-portrait', { photographId: second, chosen: true })
    expect(sheet(tag).photographs.map(p => p.portrait)).toEqual([false, true])
    perform(tag, 'choose-portrait', { photographId: second, chosen: false })
    expect(sheet(tag).portrait).toBeNull()
    // What stands already is not said again.
    const told = sheet(tag).history.length
    perform(tag, 'choose-portrait', { photographId: second, chosen: false })
    expect(sheet(tag).history).toHaveLength(told)
    perform(tag, 'choose-portrait', { photographId: first, chosen: true })
    perform(tag, 'strike-entry', { entryId: sheet(tag).history.findLast(h => h.kind === 'photograph.added')!.id, reason: 'Another machine' })
    expect([sheet(tag).portrait, on.list().find(m => m.tag === tag)!.portrait]).toEqual([null, null])
    expect(() => perform(bookIn(), 'choose-portrait', { photographId: second, chosen: true })).toThrow('no such photograph')
  })

  it('the same photograph is added once, a struck one is gone with its measurements', async () => {
    const tag = bookIn()
    const photographId = await photograph(tag)
    await expect(photograph(tag)).rejects.toThrow(/there already/)
    perform(tag, 'keep-corrosion', {
      photographId,
      what: 'edge',
      inputs: { outline: [], corroded: [[0.1, 0.1]], sound: [[0.9, 0.9]], threshold: 0.5 },
      steel: true,
      areaPct: 0.5,
      errorPct: 1.5,
    })
    // An error of 1.5 percentage points covers several ratings at so small an area: none is given.
    expect(sheet(tag).corrosions[0]).toMatchObject({ rating: null, rustDegree: null, errorPct: 1.5 })
    perform(tag, 'strike-entry', { entryId: sheet(tag).history.find(h => h.kind === 'photograph.added')!.id, reason: 'Another machine' })
    expect([sheet(tag).photographs, sheet(tag).corrosions]).toEqual([[], []])
  })
})

it('damage asks for checks, each is done once, and the next moves say what is left', () => {
  const tag = bookIn()
  perform(tag, 'record-damage', { kind: 'crust', where: 'under the battery', severity: 'clear' })
  const [first] = sheet(tag).checks
  expect(sheet(tag).moves.some(m => m.code === 'checks')).toBe(true)
  perform(tag, 'settle-check', { code: first!.code, outcome: 'found', note: 'green under the connector' })
  expect(sheet(tag).checks[0]?.done).toMatchObject({ outcome: 'found', by: 'Ilka Brandvold' })
  expect(() => perform(tag, 'settle-check', { code: first!.code, outcome: 'nothing' })).toThrow(/has done this check already/)
})

describe('the opening record', () => {
  const opened = () => {
    const tag = bookIn()
    perform(tag, 'record-opening-step', { what: 'Lid off', fixings: [{ count: 4, head: 'pan, cross', lengthMm: 12, tray: 'A' }] })
    perform(tag, 'record-opening-step', { what: 'Board out', fixings: [{ count: '5', head: 'pan, cross', lengthMm: '6', tray: 'B' }] })
    return tag
  }
  it('counts back, and one missing comes up among the next moves', () => {
    const tag = opened()
    const [lid, board] = sheet(tag).opening.steps
    perform(tag, 'count-back', { stepId: board!.id, version: 1, back: [4] })
    perform(tag, 'count-back', { stepId: lid!.id, version: 1, back: [4] })
    expect(sheet(tag).opening).toMatchObject({ out: 9, back: 8 })
    expect(sheet(tag).moves.find(m => m.code === 'fixing-missing')?.says).toContain('1 of 5 missing')
    perform(tag, 'count-back', { stepId: board!.id, version: 2, back: [5] })
    expect(sheet(tag).moves.find(m => m.code === 'fixing-missing')).toBeUndefined()
    expect(sheet(tag).opening.findings[0]).toMatchObject({ level: 'fine' })
  })
  it('is taken over by a sister, whose steps lie ahead and are done in order', () => {
    const { modelId } = on.collection(
      'add-model',
      commands['add-model'].parse({ maker: 'Tarnwick Instruments', name: 'Petrel 8S', variants: [], usualKit: [], assemblies: [], knownFaults: [], rails: [] }),
    ) as { modelId: number }
    const first = opened()
    const { version, ...identity } = sheet(first).identity
    perform(first, 'correct-identity', { ...identity, version, nickname: 'A', name: 'Petrel 8' })
    expect(() => perform(bookIn({ modelId }), 'reuse-opening', { fromTag: first })).toThrow(/no other machine of the same model/)
    // Put right, it is one of the model again.
    perform(first, 'correct-identity', { ...identity, version: version + 1, name: 'Petrel 8S' })
    const sister = bookIn({ modelId })
    expect(sheet(sister).opening.from).toMatchObject([{ tag: first, steps: 2 }])
    perform(sister, 'reuse-opening', { fromTag: first })
    const [lid, board] = sheet(sister).opening.steps
    expect(board?.state).toBe('ahead')
    const done = (step: typeof lid) => ({
      stepId: step!.id,
      version: step!.version,
      what: step!.what,
      fixings: step!.fixings.map(({ back: _, ...f }) => f),
      connectors: [],
      hides: '',
      hazard: '',
    })
    expect(() => perform(sister, 'change-opening-step', done(board))).toThrow(/Step 1 comes first/)
    perform(sister, 'change-opening-step', done(lid))
    expect(sheet(sister).opening).toMatchObject({ out: 4, back: 0 })
    expect(modelPage(on.db, listModels(on.db)[0]!.id).machines.map(m => m.openingSteps)).toEqual([2, 0, 2])
  })
})

describe('what is not ours', () => {
  const lent = () => bookIn({ acquired: 'lent', owner: 'a trust' })
  const agree = (tag: string, upTo: number, version = 0) =>
    perform(tag, 'record-consent', { version, allowed: ['open', 'clean'], upTo, agreedWith: 'the secretary' })

  it('is not spent on before and not beyond what was agreed, and nothing of a refusal is kept', () => {
    const tag = lent()
    expect(() => perform(tag, 'record-spending', { what: 'fuse', amount: 1 })).toThrow(/Nothing may be spent/)
    agree(tag, 50)
    perform(tag, 'record-spending', { what: 'fuse', amount: '49.50' })
    expect(() => perform(tag, 'record-spending', { what: 'belt', amount: 0.6 })).toThrow(/more than the owner approved/)
    expect(sheet(tag).stewardship).toMatchObject({ spent: 49.5, ours: false })
    agree(tag, 60, 1)
    perform(tag, 'record-spending', { what: 'belt', amount: 0.6 })
    perform(tag, 'strike-entry', { entryId: sheet(tag).history.find(h => h.says.includes('fuse'))!.id, reason: 'Was given' })
    expect(sheet(tag).stewardship.spent).toBeCloseTo(0.6, 6)
  })

  it('takes no path that its owner has not agreed to', () => {
    const tag = lent()
    expect(() => perform(tag, 'choose-path', { path: 'run-again', reason: 'Wanted' })).toThrow(/Appraise it first/)
    perform(tag, 'appraise', appraisal)
    agree(tag, 400)
    expect(() => perform(tag, 'choose-path', { path: 'run-again', reason: 'Wanted' })).toThrow(/its owner has to agree first/)
    perform(tag, 'choose-path', { path: 'back-to-owner', reason: 'No answer in a year' })
    expect(sheet(tag).appraisal?.path).toBe('back-to-owner')
  })

  it('its letter lies in the outbox as a mail message with text and photograph, and its answer is waited for', async () => {
    const tag = lent()
    const photographId = await photograph(tag, 'Cage, slot 9')
    perform(tag, 'appraise', appraisal)
    const { letterId } = perform(tag, 'write-to-owner', {
      questions: ['May we clean it?'],
      photographIds: [photographId],
      to: 'trust@keepers.example',
      answerBy: '2026-04-01T00:00:00Z',
    }) as { letterId: number }
    expect(sheet(tag).waits.map(w => w.what)).toEqual(['answer from a trust'])
    await fillOutbox(on.db, on.folder, () => on.now)
    await fillOutbox(on.db, on.folder, () => on.now)
    expect(sheet(tag).stewardship.letters).toMatchObject([{ id: letterId, sent: true }])
    const mail = await PostalMime.parse(readFileSync(outboxFile(on.folder, letterOf(on.db, letterId).uid)))
    expect(mail).toMatchObject({
      subject: `Your Petrel 8S (${tag}): what we found, and what we need to ask`,
      to: [{ address: 'trust@keepers.example' }],
      date: '2026-03-03T19:00:00.000Z',
    })
    expect(mail.text).toContain('- May we clean it?')
    expect(mail.attachments).toMatchObject([{ mimeType: 'image/jpeg', filename: '1 Cage slot 9.jpg' }])
    expect((await sharp(mail.attachments[0]!.content as ArrayBuffer).metadata()).width).toBe(2000)
    // A mail program took the file away: the letter is offered all the same.
    rmSync(outboxFile(on.folder, letterOf(on.db, letterId).uid))
    const again = await PostalMime.parse((await messageOfLetter(on.db, on.folder, letterId))!)
    expect([again.subject, again.text, again.messageId]).toEqual([mail.subject, mail.text, mail.messageId])
  })

  it('our own has no owner to ask', () => {
    const tag = bookIn()
    expect(() => agree(tag, 5)).toThrow(/the collection’s own/)
    expect(() => perform(tag, 'write-to-owner', { questions: ['?'], answerBy: '2026-04-01T00:00:00Z' })).toThrow(/no owner to write to/)
  })
})

it('a job lot is booked in whole or not at all', () => {
  const row = { name: 'Gannet', acquired: 'found', fromWhom: 'the ferry terminal' }
  const lot = (...rows: object[]) => on.collection('book-in-lot', commands['book-in-lot'].parse({ machines: rows }))
  expect(() => lot(row, { ...row, lastPowered: '2999' })).toThrow(expect.objectContaining({ field: 'machines.1.lastPowered' }) as Error)
  expect(on.list()).toEqual([])
  const { lot: uid } = lot(...Array<object>(30).fill(row)) as { lot: string }
  expect(lotOf(on.db, uid)).toMatchObject({ done: 30, of: 30, trouble: '' })
  expect(lotOf(on.db, uid).booked.at(-1)).toMatchObject({ tag: 'M-2026-030', name: 'Gannet' })
})

it('what somebody did before us is not settled without a reason', () => {
  const tag = bookIn()
  perform(tag, 'log-intervention', { kind: 'added-wire', where: 'to the lid' })
  const [one] = sheet(tag).interventions
  expect(one?.state).toBe('not-understood')
  expect(sheet(tag).moves.some(m => m.code === 'interventions')).toBe(true)
  expect(commands['settle-intervention'].safeParse({ interventionId: one!.id, version: 1, state: 'undone', note: '' }).success).toBe(false)
  perform(tag, 'settle-intervention', { interventionId: one!.id, version: 1, state: 'understood', note: 'Feeds the lamp in the lid' })
  expect(sheet(tag).moves.some(m => m.code === 'interventions')).toBe(false)
})

describe('rails with the power off', () => {
  const measured = (tag: string, rail: string, ohm: number | string) =>
    perform(tag, 'measure-off-state', { rail, ohm, reversedOhm: '', leadsOhm: '0.2', loadAttached: false, rising: false })
  it('a short closes the gate against what was entered, and a later plausible round opens it again', () => {
    const tag = bookIn()
    perform(tag, 'assess-power', { version: 1, facts: { shortedRail: 'no' }, inspectedById: on.ilka.id })
    expect(() => measured(tag, '+5 V', 300)).toThrow(/is not expected/)
    perform(tag, 'expect-rails', {
      rails: [
        { name: '+5 V', nominalV: 5 },
        { name: '-12 V', nominalV: -12 },
      ],
    })
    measured(tag, '+5 V', '0.4')
    const stops = () =>
      sheet(tag)
        .power.gate.findings.filter(f => f.level === 'stop')
        .map(f => f.says)
    expect(stops()).toEqual(['A rail is shorted to ground.'])
    expect(sheet(tag).power.offState).toMatchObject([
      { rail: '+5 V', last: { verdict: 'short' } },
      { rail: '-12 V', last: null },
    ])
    measured(tag, '+5 V', '310')
    expect(stops()).toEqual([])
    measured(tag, '-12 V', 'OL')
    expect(sheet(tag).power.gate.findings.find(f => f.says.includes('short'))).toMatchObject({ level: 'fine' })
    perform(tag, 'strike-entry', { entryId: sheet(tag).history.find(h => h.says.includes('310 Ω'))!.id, reason: 'Wrong rail' })
    expect(stops()).toEqual(['A rail is shorted to ground.'])
  })
  it('what is no reading is refused with what would do', () => {
    const messages = (given: object) =>
      commands['measure-off-state'].safeParse({ rail: '+5 V', loadAttached: false, rising: false, ...given }).error?.issues.map(i => i.message) ?? []
    expect(messages({ ohm: '' })[0]).toContain('Red on the rail')
    expect(messages({ ohm: 'low' })[0]).toContain('“low” is not a number')
    expect(messages({ ohm: '4k7', reversedOhm: 'OL', leadsOhm: '' })).toEqual([])
  })
})

describe('the register of hazards', () => {
  it('is filled from what is known, and what somebody found out closes or clears the gate', () => {
    const tag = bookIn({ claims: ['It smoked when I tried it'], weightKg: '30' })
    const register = () => sheet(tag).hazards.map(h => `${h.kind} ${h.state}`)
    expect(register()).toEqual(['stored-charge suspected', 'heavy suspected', 'smoke suspected'])
    expect(sheet(tag).power.gate.verdict).toBe('not-yet-assessed')
    expect(sheet(tag).moves.find(m => m.code === 'hazards')?.says).toBe('Confirm or rule out: smoke reported, stored charge, heavy')
    perform(tag, 'settle-hazard', { kind: 'smoke', version: 0, state: 'present', evidence: 'Brown film over the filter' })
    expect(sheet(tag).power.gate.findings[0]).toMatchObject({
      level: 'stop',
      code: 'gate.hazard.smoke',
      because: ['Brown film over the filter.', 'Claimed: “It smoked when I tried it”.'],
    })
    expect(() => perform(tag, 'settle-hazard', { kind: 'smoke', version: 0, state: 'ruled-out', evidence: 'x' })).toThrow(/changed/i)
    perform(tag, 'settle-hazard', { kind: 'smoke', version: 1, state: 'dealt-with', evidence: 'Capacitor replaced' })
    expect(register()).toContain('smoke dealt-with')
    expect(sheet(tag).power.gate.verdict).toBe('not-yet-assessed')
  })
  it('a hazard that appears ends an overrule, for the facts have changed', () => {
    const tag = bookIn()
    perform(tag, 'overrule-gate', { verdict: 'guarded-start', reason: 'Supply alone, board out' })
    perform(tag, 'settle-hazard', { kind: 'old-insulation', version: 0, state: 'present', evidence: 'Flex cracks when bent' })
    expect(sheet(tag).power).toMatchObject({ overrule: null, inForce: 'keep-off' })
  })
})
