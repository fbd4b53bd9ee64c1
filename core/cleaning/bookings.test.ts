import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Booking, type BookingInput, type SharedThing, bornC, judgeBooking, litresOf } from './bookings'
import { judgeMaterial, runsLow, takeFrom } from './shelf'

// The rules are common practice, no source; room and warmth are checked hour by hour, reckoned apart.
const oven: SharedThing = { name: 'Oven', kind: 'oven', roomL: 60, minC: 30, maxC: 80 }
const tank: SharedThing = { name: 'Tank', kind: 'tank', roomL: 40, minC: null, maxC: null }
const at = (hour: number) => new Date(Date.UTC(2026, 2, 3, hour)).toISOString()
const job = (what: string, from: number, until: number, more: Partial<Booking> = {}): Booking => ({
  what,
  from: at(from),
  until: at(until),
  roomL: 30,
  minC: null,
  maxC: 40,
  bath: '',
  ...more,
})
const judge = (input: Omit<BookingInput, 'now'> & { now?: string }) => judgeBooking({ now: '2026-01-01T00:00:00.000Z', ...input })
const codes = (input: Parameters<typeof judge>[0]) => judge(input).findings.map(f => f.code)

describe('a place in a shared thing', () => {
  it('is given where room is left at every moment, and else from the moment it would be', () => {
    const others = [job('Board', 0, 12), job('Case', 6, 20)]
    expect(judge({ thing: oven, others, wanted: job('Keys', 13, 15) })).toMatchObject({ fits: true, beside: ['Case'], heldC: 40 })
    expect(judge({ thing: oven, others, wanted: job('Keys', 2, 8) })).toMatchObject({ fits: false, freeFrom: at(12) })
    expect(codes({ thing: oven, others, wanted: job('Keys', 2, 8) })).toEqual(['booking.no-room'])
    // Those that follow each other do not lie in it together.
    expect(judge({ thing: oven, others: [job('Board', 0, 12, { roomL: 60 })], wanted: job('Keys', 12, 14, { roomL: 60 }) }).fits).toBe(true)
    expect(judge({ thing: oven, others, wanted: job('Desk', 30, 31, { roomL: 61 }) })).toMatchObject({ fits: false, freeFrom: null })
  })

  it('is taken still by what is over and has not come out, and by that not for ever', () => {
    const others = [job('Board', 0, 6), job('Case', 9, 12)]
    const wanted = job('Desk', 8, 9, { roomL: 40 })
    expect(judge({ thing: oven, others, wanted, now: at(8) })).toMatchObject({ fits: false, freeFrom: at(12) })
    expect(codes({ thing: oven, others, wanted, now: at(8) })).toEqual(['booking.no-room', 'booking.overdue'])
    expect(judge({ thing: oven, others, wanted: job('Desk', 13, 14, { roomL: 40 }), now: at(8) }).fits).toBe(true)
    expect(judge({ thing: oven, others: others.slice(0, 1), wanted, now: at(8) }).freeFrom).toBeNull()
  })

  it('is as warm as the coolest part bears', () => {
    const labels = job('Paper labels', 0, 10, { maxC: 35, roomL: 5 })
    expect(judge({ thing: oven, others: [labels], wanted: job('Board', 2, 6) }).heldC).toBe(35)
    expect(codes({ thing: oven, others: [labels], wanted: job('Board', 2, 6, { minC: 40, maxC: 50 }) })).toEqual(['booking.too-cool'])
    expect(codes({ thing: oven, others: [job('Board', 0, 10, { minC: 40, maxC: 50 })], wanted: job('Labels', 2, 6, { maxC: 35 }) })).toEqual([
      'booking.too-cool',
    ])
    expect(codes({ thing: oven, others: [], wanted: job('Wax', 0, 1, { maxC: 25 }) })).toEqual(['booking.too-warm'])
    // A part that comes later and cooler slows what lies there already, and says so.
    expect(codes({ thing: oven, others: [job('Board', 0, 10, { maxC: 50 })], wanted: job('Labels', 2, 6, { maxC: 35 }) })).toEqual([
      'booking.cooler',
      'booking.fits',
    ])
    expect(codes({ thing: { ...oven, minC: null, maxC: null, kind: 'box' }, others: [], wanted: job('Board', 0, 1, { minC: 40, maxC: 50 }) })).toEqual([
      'booking.not-heated',
    ])
    expect(bornC(['masked-board', 'paper'])).toBe(40)
    expect(bornC([])).toBe(40)
  })

  it('in a tank is shared only in the same bath', () => {
    const others = [job('Keys', 0, 6, { bath: 'Soapy water', roomL: 10 })]
    expect(codes({ thing: tank, others, wanted: job('Board', 2, 4, { bath: 'distilled water', roomL: 10 }) })).toEqual(['booking.other-bath'])
    expect(judge({ thing: tank, others, wanted: job('Board', 2, 4, { bath: 'soapy water ', roomL: 10 }) }).fits).toBe(true)
    expect(() => judge({ thing: tank, others, wanted: job('Board', 2, 4) })).toThrow('Bath: say what is in the tank')
    expect(() => judge({ thing: oven, others: [], wanted: job('Board', 2, 4, { maxC: null }) })).toThrow('Oven is heated: say how warm the part may get')
    expect(() => judge({ thing: oven, others: [], wanted: job('Board', 4, 4) })).toThrow('has to end after it begins')
  })

  it('is told as an hour-by-hour count tells it, and what is offered instead is the first hour at which it fits', () => {
    const some = fc.record({
      from: fc.integer({ min: 0, max: 20 }),
      lasts: fc.integer({ min: 1, max: 8 }),
      roomL: fc.integer({ min: 5, max: 60 }),
      maxC: fc.integer({ min: 20, max: 60 }),
      need: fc.integer({ min: 0, max: 20 }),
    })
    const asJob = (o: { from: number; lasts: number; roomL: number; maxC: number; need: number }, i: number) =>
      job(`J${i}`, o.from, o.from + o.lasts, { roomL: o.roomL, maxC: o.maxC, minC: o.maxC - o.need })
    const fitsByHour = (others: Booking[], wanted: Booking) => {
      const touching = others.filter(o => o.from < wanted.until && o.until > wanted.from)
      const all = [...touching, wanted]
      const held = Math.min(80, ...all.map(o => o.maxC!))
      if (held < 30 || all.some(o => o.minC! > held)) return false
      for (let hour = 0; hour < 60; hour++) {
        const inside = all.filter(o => o.from <= at(hour) && o.until > at(hour))
        if (inside.includes(wanted) && inside.reduce((sum, o) => sum + o.roomL, 0) > 60) return false
      }
      return true
    }
    fc.assert(
      fc.property(fc.array(some, { maxLength: 6 }), some, (list, one) => {
        const [others, wanted] = [list.map(asJob), asJob(one, 99)]
        const result = judge({ thing: oven, others, wanted })
        expect(result.fits).toBe(fitsByHour(others, wanted))
        if (result.fits) return
        const later = (hour: number) => ({ ...wanted, from: at(hour), until: at(hour + one.lasts) })
        const first = Array.from({ length: 40 }, (_, i) => one.from + i).find(hour => fitsByHour(others, later(hour)))
        expect(result.freeFrom).toBe(first === undefined ? null : at(first))
      }),
      { numRuns: 300 },
    )
  })
})

describe('the shelf', () => {
  const vinegar = { name: 'Vinegar', amount: 100, unit: 'ml' as const, lowAt: 200, openedOn: null, useBy: '2026-03-01' }
  it('says what is past its day, low or gone, and gives no more than it has', () => {
    expect(judgeMaterial(vinegar, '2026-03-01').map(f => f.code)).toEqual(['shelf.low'])
    expect(judgeMaterial(vinegar, '2026-03-02').map(f => f.code)).toEqual(['shelf.past', 'shelf.low'])
    expect(judgeMaterial({ ...vinegar, amount: 0, useBy: null }, '2026-03-02').map(f => f.code)).toEqual(['shelf.empty'])
    expect([
      runsLow({ amount: 201, lowAt: 200 }),
      runsLow({ amount: 200, lowAt: 200 }),
      runsLow({ amount: 0, lowAt: null }),
      runsLow({ amount: 1, lowAt: null }),
    ]).toEqual([false, true, true, false])
    expect(takeFrom(vinegar, 100)).toBe(0)
    expect(takeFrom({ ...vinegar, amount: 0.3 }, 0.1)).toBe(0.2)
    expect(() => takeFrom(vinegar, 100.5)).toThrow('the shelf has 100 ml of Vinegar')
  })
})

it.each([
  ['30 × 20 × 10', 6],
  ['30x20x10 cm', 6],
  ['45,5 cm * 32 cm * 8.5 cm', 12.376],
  ['12', undefined],
  ['30 × 20', undefined],
  ['30 × 20 × 10 × 5', undefined],
  ['30 × −20 × 10', undefined],
])('the room of %s is %s litres', (lengths, litres) => expect(litresOf(lengths)).toBe(litres))
