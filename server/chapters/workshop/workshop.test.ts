import { describe, expect, it } from 'vitest'
import { type CommandRequest, commands } from '#shared/chapters/index'
import { goodFacts as good } from '../../../tests/support/good-facts'
import { serverBench } from '../../../tests/support/server-bench'
import { workshopNow } from './index'

const on = serverBench()
const { bookIn, perform, sheet } = on
type OnWorkshop = 'add-thing' | 'change-thing' | 'add-material' | 'change-material'
const collection = <N extends OnWorkshop>(name: N, input: CommandRequest<N>) => on.collection(name, commands[name].parse(input))
const later = (hours: number) => new Date(on.now.getTime() + hours * 3_600_000).toISOString()
const now = () => workshopNow(on.db, on.now.toISOString().slice(0, 10))
const thing = (name: string, more: Partial<CommandRequest<'add-thing'>> = {}) =>
  (collection('add-thing', { name, kind: 'oven', roomL: 60, minC: 30, maxC: 80, ...more }) as { thingId: number }).thingId
const material = (name: string, more: Partial<CommandRequest<'add-material'>> = {}) =>
  (collection('add-material', { name, unit: 'ml', amount: 500, lowAt: 200, ...more }) as { materialId: number }).materialId
const place = (thingId: number, more: Partial<CommandRequest<'book-thing'>> = {}) => ({
  thingId,
  what: 'Main board',
  from: later(0),
  hours: 12,
  roomL: 40,
  maxC: 40,
  ...more,
})

describe('a shared thing', () => {
  it('goes to who came first; the other is told why, and from when it would fit, and nothing of it is kept', () => {
    const [first, second] = [bookIn(), bookIn()]
    const oven = thing('Oven A')
    perform(first, 'book-thing', place(oven))
    const before = sheet(second).history.length
    let refused: unknown
    try {
      perform(second, 'book-thing', place(oven, { what: 'Keyboard', hours: 6 }))
    } catch (error) {
      refused = error
    }
    expect(refused).toMatchObject({ status: 409, message: expect.stringMatching(/^Oven A is taken then\. It would fit from /) })
    expect((refused as { because: string[] }).because.join(' ')).toContain('No room: 20 l of 60 l is left')
    expect([sheet(second).bookings, sheet(second).history.length]).toEqual([[], before])
    perform(second, 'book-thing', place(oven, { what: 'Keyboard', hours: 6, roomL: 20, from: later(1) }))
    expect(
      now()
        .things.find(t => t.id === oven)!
        .bookings.map(b => b.what),
    ).toEqual(['Main board', 'Keyboard'])
    // What nobody took out still lies there, though its time is over.
    on.now = new Date(on.now.getTime() + 13 * 3_600_000)
    expect(() => perform(second, 'book-thing', place(oven, { what: 'Case' }))).toThrow('has no place for it then')
  })

  it('keeps a machine off while it lies there, and what comes out of a bath dries first', () => {
    const tag = bookIn()
    perform(tag, 'expect-rails', { rails: [{ name: '+5 V', nominalV: 5 }] })
    perform(tag, 'assess-power', { version: 1, facts: good, inspectedById: on.ilka.id })
    perform(tag, 'measure-off-state', { rail: '+5 V', ohm: 200, reversedOhm: 300, leadsOhm: 0.2, loadAttached: false, rising: false })
    const tank = thing('Tank A', { kind: 'tank', minC: null, maxC: null })
    expect(() => perform(tag, 'book-thing', place(tank))).toThrow('Bath: say what is in the tank')
    perform(tag, 'book-thing', place(tank, { from: later(2), bath: 'distilled water' }))
    expect(sheet(tag).gate.inForce).toBe('guarded-start')
    on.now = new Date(on.now.getTime() + 3 * 3_600_000)
    expect(sheet(tag).gate.inForce).toBe('keep-off')
    perform(tag, 'end-booking', { bookingId: sheet(tag).bookings[0]!.id })
    expect(sheet(tag).waits.map(w => w.what)).toEqual(['Main board drying after: wet wash and low bake'])
    expect(sheet(tag).gate.inForce).toBe('keep-off')
    // That something else dries says nothing of what comes out now.
    perform(tag, 'book-thing', place(tank, { what: 'Keyboard', bath: 'distilled water' }))
    perform(tag, 'end-booking', { bookingId: sheet(tag).bookings[0]!.id })
    expect(sheet(tag).waits.map(w => w.what)).toContain('Keyboard drying after: wet wash and low bake')
    // Given back before it began, nothing was wet.
    const dry = bookIn()
    perform(dry, 'book-thing', place(tank, { from: later(2), bath: 'distilled water' }))
    perform(dry, 'end-booking', { bookingId: sheet(dry).bookings[0]!.id })
    expect([sheet(dry).waits, sheet(dry).bookings]).toEqual([[], []])
  })

  it('is not changed under what is booked, nor named twice', () => {
    const box = thing('Box A', { kind: 'box', minC: null, maxC: null })
    perform(bookIn(), 'book-thing', place(box))
    const changed = { thingId: box, version: 1, name: 'Box A', kind: 'box' as const, roomL: 30, active: true }
    expect(() => collection('change-thing', changed)).toThrow('its bookings rest on what it is')
    collection('change-thing', { ...changed, roomL: 80 })
    expect(() => thing('box a')).toThrow('Name: box a is on another thing already')
    expect(() => thing('Box B', { minC: 50, maxC: 40 })).toThrow('50 is more than the 40')
  })
})

describe('the shelf', () => {
  it('gives a step what it used, with it or not at all, and what runs low is wanted until there is more', () => {
    const tag = bookIn()
    const vinegar = material('White vinegar')
    perform(tag, 'say-cleaning-part', {
      partId: null,
      version: 0,
      name: 'Main board',
      materials: ['masked-board'],
      soils: ['alkali'],
      works: 'dead',
      socketed: false,
    })
    perform(tag, 'make-cleaning-plan', {})
    const [step] = sheet(tag).cleaning.steps
    const done = (amount: number) =>
      perform(tag, 'do-cleaning-step', { stepId: step!.id, version: step!.version, waitHours: null, uses: [{ materialId: vinegar, amount }] })
    expect(() => done(501)).toThrow('the shelf has 500 ml of White vinegar')
    expect(sheet(tag).cleaning.steps[0]!.state).toBe('open')
    done(320)
    expect(sheet(tag).cleaning.steps[0]!.state).toBe('done')
    const left = () => now().materials.find(m => m.id === vinegar)!
    expect(left()).toMatchObject({ amount: 180, wantedSince: on.now.toISOString(), version: 2 })
    collection('change-material', { materialId: vinegar, version: 2, name: 'White vinegar', unit: 'ml', amount: 1000, lowAt: 200, active: true })
    expect(left()).toMatchObject({ amount: 1000, wantedSince: null })
    perform(tag, 'use-material', { materialId: vinegar, amount: 10, what: 'Card guide' })
    expect(sheet(tag).history[0]!.says).toBe('Used 10 ml of White vinegar: Card guide.')
  })

  it('refuses what is no amount at its field', () => {
    const read = commands['use-material'].safeParse({ materialId: 1, amount: -1, what: 'x' })
    expect(read.error!.issues[0]!.message).toContain('more than 0')
  })
})
