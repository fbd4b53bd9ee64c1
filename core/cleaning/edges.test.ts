import { describe, expect, it } from 'vitest'
import { mixBath } from './bath'
import { type Booking, bornC, judgeBooking } from './bookings'
import { judgeDrying } from './drying'
import { type NeutraliseInput, type ResidueSource, neutralise, residueSources } from './neutralise'
import { dilutePeroxide } from './peroxide'
import { type PlanPart, guessMaterials, guessSoils, patinaLeft, planCleaning, waitAfter } from './plan'
import { amountWords, judgeMaterial, takeFrom } from './shelf'

const sources = Object.keys(residueSources) as ResidueSource[]

// Doses, places and plans at the edges of what is taken. Common practice, no source, unless one is named.
const refused = (judge: () => unknown, field: string | null) => {
  if (field === null) expect(judge).not.toThrow()
  else expect(judge).toThrow(expect.objectContaining({ field }) as Error)
}

describe('what neutralises', () => {
  it.each<[Partial<NeutraliseInput>, string | null]>([
    [{ amountG: 0 }, null],
    [{ amountG: 5000 }, null],
    [{ amountG: 5001 }, 'amountG'],
    [{ amountG: -1 }, 'amountG'],
    [{ cells: 100, capacityMah: 200_000 }, null],
    [{ cells: 0, capacityMah: 60 }, 'cells'],
    [{ cells: 101, capacityMah: 60 }, 'cells'],
    [{ cells: 1, capacityMah: 0 }, 'capacityMah'],
    [{ leakedPct: 0 }, null],
    [{ leakedPct: 101 }, 'leakedPct'],
    [{ vinegarGPer100ml: 30 }, null],
    [{ vinegarGPer100ml: 31 }, 'vinegarGPer100ml'],
    [{ citricGPer100ml: 61 }, 'citricGPer100ml'],
    [{ bicarbonateGPer100ml: 9 }, null],
    [{ bicarbonateGPer100ml: 9.1 }, 'bicarbonateGPer100ml'],
  ])('%o is refused at %s', (more, field) => refused(() => neutralise({ source: 'nickel', ...more }), field))
  it('takes what is weighed before what is reckoned, and reckons only with both', () => {
    const amount = (more: Partial<NeutraliseInput>, source: NeutraliseInput['source'] = 'nickel') => neutralise({ source, ...more }).amountG
    expect([
      amount({ cells: 2, capacityMah: 500 }),
      amount({ cells: 2, capacityMah: 500, amountG: 3 }),
      amount({ cells: 2 }),
      amount({ capacityMah: 500 }),
      amount({}),
    ]).toEqual([1, 3, null, null, null])
    // 7.5 g of sulphuric acid to an ampere-hour, from memory of battery handbooks.
    expect([
      amount({ cells: 3, capacityMah: 1000 }, 'lead-acid'),
      amount({ cells: 3, capacityMah: 1000 }, 'lithium'),
      amount({ amountG: 3 }, 'capacitor'),
    ]).toEqual([22.5, null, null])
    const codes = (more: Partial<NeutraliseInput>, source: NeutraliseInput['source'] = 'nickel') => neutralise({ source, ...more }).findings.map(f => f.code)
    expect(codes({ amountG: 1 })).not.toContain('neutralise.estimate')
    expect(codes({})).not.toContain('neutralise.practice')
    const practice = (source: NeutraliseInput['source']) => neutralise({ source, amountG: 1 }).findings.find(f => f.code === 'neutralise.practice')?.because[0]
    expect([practice('nickel'), practice('lead-acid')]).toEqual([expect.stringContaining('Carbonate'), 'Some does not reach the place.'])
  })
  it('gives alkali two acids and acid one alkali, three times as much as it takes, and each source its warnings', () => {
    const agents = (source: NeutraliseInput['source']) => neutralise({ source, amountG: 1 }).doses.map(d => d.agent)
    expect([agents('nickel'), agents('lead-acid'), agents('zinc-carbon'), agents('capacitor')]).toEqual([['vinegar', 'citric-acid'], ['bicarbonate'], [], []])
    const [vinegar] = neutralise({ source: 'nickel', amountG: 1, vinegarGPer100ml: 10 }).doses
    expect(
      [vinegar!.practicalG / vinegar!.exactG, vinegar!.exactMl / vinegar!.exactG, vinegar!.practicalMl / vinegar!.exactMl].map(v => Math.round(v * 1e6) / 1e6),
    ).toEqual([3, 10, 3])
    const stops = sources.filter(source => neutralise({ source }).findings.some(f => f.level === 'stop'))
    expect(stops).toEqual(['lithium', 'lithium-ion', 'lithium-thionyl', 'oil-capacitor', 'unknown'])
    for (const source of sources) for (const f of neutralise({ source }).findings) expect(f.because.every(Boolean) && f.because.length > 0).toBe(true)
  })
})

describe('a bath', () => {
  const mix = (more: object) => mixBath({ strength: { kind: 'percent-volume', value: 10 }, volumeL: 10, ...more })
  it.each<[object, string | null]>([
    [{ volumeL: 1000 }, null],
    [{ volumeL: 1001 }, 'volumeL'],
    [{ volumeL: 0 }, 'volumeL'],
    [{ strength: { kind: 'percent-volume', value: 101 } }, 'strength.value'],
    [{ strength: { kind: 'parts-in', value: 1 } }, null],
    [{ strength: { kind: 'parts-in', value: 0.9 } }, 'strength.value'],
    [{ strength: { kind: 'parts-to', value: 0.5 } }, null],
    [{ strength: { kind: 'grams-per-litre', value: 1001 } }, 'strength.value'],
    [{ strength: { kind: 'grams-per-litre', value: 1000 } }, null],
    [{ inItL: 1001 }, 'inItL'],
    [{ inItPct: 101 }, 'inItPct'],
    [{ inItPct: -1 }, 'inItPct'],
    [{ concentrateKgPerL: 3 }, null],
    [{ concentrateKgPerL: 3.1 }, 'concentrateKgPerL'],
    [{ concentratePct: 0 }, 'concentratePct'],
    [{ recipeConcentratePct: 101 }, 'recipeConcentratePct'],
    [{ tankL: 0 }, 'tankL'],
  ])('with %o is refused at %s', (more, field) => refused(() => mix(more), field))
  it('fits where its tank is as large, is told which parts are meant, and weighs what is by mass', () => {
    const says = (more: object) => mix(more).findings.map(f => `${f.level} ${f.code}`)
    expect(says({ tankL: 10 })).not.toContain('stop bath.too-much')
    expect(says({ tankL: 9.9 })).toContain('stop bath.too-much')
    expect(says({ inItL: 10, inItPct: 50 })).toContain('care bath.take-out')
    expect(says({ inItL: 5 })).not.toContain('care bath.take-out')
    const parts = (kind: 'parts-to' | 'parts-in') => mix({ strength: { kind, value: 4 } }).findings.find(f => f.code === 'bath.parts')
    expect([parts('parts-to')?.says, parts('parts-to')?.because[0]]).toEqual([
      'One to 4 is 20 % by volume.',
      'Not to be taken for the other: one in 4 would be 25 %.',
    ])
    expect([parts('parts-in')?.says, parts('parts-in')?.because[0]]).toEqual([
      'One in 4 is 25 % by volume.',
      'Not to be taken for the other: one to 4 would be 20 %.',
    ])
    for (const kind of ['percent-mass', 'grams-per-litre'] as const) expect(says({ strength: { kind, value: 5 } })).toContain('note bath.by-mass')
    expect(says({})).not.toContain('note bath.by-mass')
    // 10 % by mass of a concentrate of 2 kg/l: 0.05 l to 0.9 l of water.
    expect(mix({ strength: { kind: 'percent-mass', value: 10 }, concentrateKgPerL: 2 }).volumePct).toBeCloseTo((0.05 / 0.95) * 100, 9)
  })
})

describe('a shared place', () => {
  const oven = { name: 'Oven', kind: 'oven' as const, roomL: 60, minC: 30, maxC: 80 }
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
  const judge = (wanted: Booking, others: Booking[] = [], thing: object = {}) =>
    judgeBooking({ thing: { ...oven, ...thing }, others, wanted, now: '2026-01-01T00:00:00.000Z' })
  it('takes what just fills it, and says what lies there then', () => {
    expect(judge(job('a', 0, 1, { roomL: 60 })).findings[0]?.says).toBe('It fits, held at 40 °C at most.')
    expect(judge(job('a', 0, 1), [job('b', 0, 1)]).findings[0]?.says).toBe('It fits beside b, held at 40 °C at most.')
    expect(judge(job('a', 0, 1, { roomL: 30.1 }), [job('b', 0, 1)]).findings[0]).toMatchObject({
      says: 'No room: 30 l of 60 l is left, and it takes 30.1 l.',
      because: ['Booked then: b.'],
    })
    expect(judge(job('a', 0, 1, { roomL: 70 })).findings[0]?.code).toBe('booking.too-large')
    expect(judge(job('a', 0, 1, { maxC: null }), [], { minC: null, maxC: null }).heldC).toBeNull()
  })
  it('is as warm as its coolest part bears, at the edges too', () => {
    const codes = (more: Partial<Booking>, others: Booking[] = []) => judge(job('a', 0, 1, more), others).findings.map(f => f.code)
    expect([codes({ maxC: 30 }), codes({ maxC: 29 }), codes({ minC: 40 }), codes({ minC: 40, maxC: 80 }), codes({ minC: 81, maxC: 90 })]).toEqual([
      ['booking.fits'],
      ['booking.too-warm'],
      ['booking.fits'],
      ['booking.fits'],
      ['booking.too-cool'],
    ])
    expect(judge(job('a', 0, 1, { minC: 81, maxC: 90 })).findings[0]?.because).toEqual(['Oven goes no higher.'])
    expect(judge(job('a', 0, 1, { minC: 50, maxC: 60 }), [job('b', 0, 1, { maxC: 45 })]).findings[0]?.because).toEqual(['The coolest part decides: b.'])
    expect(codes({ maxC: 40 }, [job('b', 0, 1, { maxC: 40 })])).toEqual(['booking.fits'])
    refused(() => judge(job('a', 0, 1, { minC: 41 })), 'minC')
    refused(() => judge(job('a', 0, 1, { roomL: 0 })), 'roomL')
    refused(() => judge(job('a', 1, 0)), 'hours')
    expect([bornC(['glass', 'wood', 'abs']), bornC(['glass'])]).toEqual([35, 60])
  })
})

describe('a drying', () => {
  const weigh = (...masses: number[]) => masses.map((massG, i) => ({ atHours: i * 4, massG }))
  it.each<[object, string | null]>([
    [{ errorG: 0 }, 'errorG'],
    [{ errorG: 1000 }, null],
    [{ leftG: 1001 }, 'leftG'],
    [{ weighings: [{ atHours: -1, massG: 1 }] }, 'weighings.0.atHours'],
    [{ weighings: [{ atHours: 1, massG: 0 }] }, 'weighings.0.massG'],
    [{ weighings: [{ atHours: 10_001, massG: 1 }] }, 'weighings.0.atHours'],
    [{ nowHours: 3 }, 'nowHours'],
    [{ nowHours: 12 }, null],
    [{ nowHours: 20_001 }, 'nowHours'],
    [{ weighings: Array.from({ length: 201 }, (_, i) => ({ atHours: i, massG: 9 })) }, 'weighings'],
  ])('with %o is refused at %s', (more, field) => refused(() => judgeDrying({ weighings: weigh(300, 290, 285, 283), ...more }), field))
  it('wants four readings at four times, and says when they rise', () => {
    const state = (...masses: number[]) => judgeDrying({ weighings: weigh(...masses) }).state
    expect([state(), state(300, 290), state(300, 290, 285), state(300, 301, 302), state(300, 300, 300)]).toEqual([
      'too-few',
      'too-few',
      'too-few',
      'rises',
      'too-few',
    ])
    expect(judgeDrying({ weighings: [0, 0, 4, 4].map(atHours => ({ atHours, massG: 300 - atHours })) }).findings[0]?.says).toBe(
      'Not yet enough readings: 2 of 4.',
    )
    expect([judgeDrying({ weighings: [] }).weighAgainAtHours, judgeDrying({ weighings: weigh(300, 290) }).weighAgainAtHours]).toEqual([0.5, 6])
    expect(judgeDrying({ weighings: weigh(300, 301, 302) }).weighAgainAtHours).toBe(9)
    expect(judgeDrying({ weighings: weigh(300, 290, 280, 270, 260) }).state).toBe('cannot-tell')
  })
  it('is judged no finer than the scales show', () => {
    const codes = (errorG: number) =>
      judgeDrying({
        weighings: [0, 4, 8, 12, 24, 48, 96].map(atHours => ({ atHours, massG: Number((300 + 20 * Math.exp(-atHours / 6)).toFixed(2)) })),
        errorG,
        leftG: 0.2,
      }).findings.map(f => f.code)
    expect(codes(0.5)).toContain('drying.scales')
    expect(codes(0.02)).not.toContain('drying.scales')
  })
})

describe('peroxide', () => {
  it.each<[object, string | null]>([
    [{ havePct: 60 }, null],
    [{ havePct: 61 }, 'havePct'],
    [{ havePct: 0 }, 'havePct'],
    [{ havePct: undefined }, 'havePct'],
    [{ wantPct: undefined }, 'wantPct'],
    [{ havePct: undefined, haveVolumes: 250 }, null],
    [{ havePct: undefined, haveVolumes: 251 }, 'haveVolumes'],
    [{ wantMl: 100_001 }, 'wantMl'],
    [{ wantMl: undefined }, 'wantMl'],
    [{ wantMl: undefined, areaCm2: 0 }, 'areaCm2'],
    [{ wantMl: undefined, areaCm2: 100, layerMm: 50 }, null],
    [{ layerMm: 51 }, 'layerMm'],
    [{ monthsOpen: 240 }, null],
    [{ monthsOpen: 241 }, 'monthsOpen'],
    [{ monthsOpen: -1 }, 'monthsOpen'],
    [{ havePct: 12, haveIs: 'g-per-100ml', wantPct: 12 }, null],
    [{ havePct: 12, haveIs: 'g-per-100ml', wantPct: 12.1 }, 'wantPct'],
  ])('with %o is refused at %s', (more, field) => refused(() => dilutePeroxide({ havePct: 30, wantPct: 6, wantMl: 100, ...more }), field))
  it('loses more of its strength the longer it is open, and warm the more', () => {
    const left = (monthsOpen: number | undefined, keptCool?: boolean) =>
      dilutePeroxide({ havePct: 10, haveIs: 'g-per-100ml', wantPct: 3, wantMl: 100, monthsOpen, keptCool }).leftPct
    // A year: 5 to 20 % kept cool, 15 to 60 % warm; common practice, no source.
    expect([left(undefined), left(0), left(12), left(12, false)]).toEqual([null, { low: 10, high: 10 }, { low: 8, high: 9.5 }, { low: 4, high: 8.5 }])
  })
})

describe('a plan', () => {
  const schools = { boards: 'wash', plastic: 'whiten' } as const
  const part = (more: Partial<PlanPart>): PlanPart => ({ name: 'Part', materials: ['abs'], soils: ['grease'], works: 'works', ...more })
  const kinds = (...parts: PlanPart[]) => planCleaning({ parts, schools }).steps.map(s => s.kind)
  it('photographs and takes off only before a bath, and names chips in sockets where there are some', () => {
    expect(kinds(part({}))).toEqual(['photograph', 'take-off', 'method'])
    expect(kinds(part({ soils: ['dust'] }))).toEqual(['method'])
    const off = (socketed?: boolean) => planCleaning({ parts: [part({ socketed })], schools }).steps[1]?.says
    expect([off(true), off()]).toEqual([expect.stringContaining('chips in sockets'), expect.not.stringContaining('chips')])
  })
  it('tests what nobody has seen working from 45 minutes of cosmetic work on', () => {
    const tested = (...soiled: PlanPart['soils']) => kinds(part({ works: 'not-known', soils: soiled })).includes('test')
    // Soapy water takes 60 minutes, a solvent wipe 25; dust is not cosmetic.
    expect([tested('grease'), tested('dust'), tested('dust', 'mould')]).toEqual([true, false, false])
    expect(kinds(part({ works: 'dead' }))).not.toContain('test')
  })
  it('looks again after what eats, and seals what is bare', () => {
    const board = (more: Partial<PlanPart>) => kinds(part({ name: 'Board', materials: ['masked-board'], works: 'dead', ...more }))
    expect(board({ soils: ['alkali'] })).toEqual(expect.arrayContaining(['look-again', 'seal']))
    expect(board({ soils: ['dust'] })).not.toContain('seal')
    expect(board({ soils: ['dust'], materials: ['bare-board'] })).toContain('seal')
    expect(board({ soils: ['dust'] })).not.toContain('look-again')
  })
  it('adds up its minutes, and dries what was wet for so long as it takes', () => {
    const { steps, minutes } = planCleaning({ parts: [part({})], schools })
    expect(minutes).toBe(steps.reduce((sum, s) => sum + s.minutes, 0))
    expect([waitAfter('brush', 'X'), waitAfter('rust-remover', 'X')]).toEqual([null, { what: 'X drying after: rust remover', hours: 3 }])
  })
  it('guesses what a part is made of and soiled with, and leaves patina alone', () => {
    expect(
      ['Keyboard', 'Loudspeaker', 'Power supply', 'Drive A', 'Rear case', 'Card cage', 'Drive belt', 'Mains lead', 'Chassis'].map(n => guessMaterials(n)[0]),
    ).toEqual(['abs', 'speaker', 'transformer', 'bare-steel', 'abs', 'masked-board', 'bare-steel', 'tin-contacts', 'painted-metal'])
    const soil = (kind: string, where = '', patina?: string) => guessSoils([{ kind: kind as never, where, patina }], null)
    expect([
      soil('rust'),
      soil('growth'),
      soil('tide-line'),
      soil('stain', 'yellowed lid'),
      soil('stain', 'lid'),
      soil('rust', '', 'stays'),
      soil('crack'),
    ]).toEqual([['dust', 'rust'], ['dust', 'mould'], ['dust'], ['dust', 'yellowing'], ['dust'], ['dust'], ['dust']])
    expect(guessSoils([{ kind: 'crust', where: '' }], 'acid')).toEqual(['dust', 'acid'])
    expect(
      patinaLeft([
        { kind: 'rust', where: 'lid', patina: 'its age' },
        { kind: 'rust', where: 'foot', patina: '' },
      ]).map(f => f.says),
    ).toEqual(['Rust, lid: it stays as patina; leave it alone.'])
  })
})

it('the shelf gives what it has, and says what runs low in its own unit', () => {
  const jar = { name: 'Cream', amount: 100, unit: 'g' as const, lowAt: 100, openedOn: null, useBy: null }
  expect([takeFrom(jar, 100), takeFrom(jar, 33.3)]).toEqual([0, 66.7])
  refused(() => takeFrom(jar, 0), 'amount')
  refused(() => takeFrom(jar, 100.1), 'amount')
  expect(judgeMaterial(jar, '2026-03-01')[0]).toMatchObject({ says: 'Cream is running low: 100 g left.', because: ['Wanted from 100 g down.'] })
  expect(judgeMaterial({ ...jar, amount: 0 }, '2026-03-01').map(f => f.level)).toEqual(['stop'])
  expect(amountWords(1234.56, 'ml')).toBe('1.235 l')
})
