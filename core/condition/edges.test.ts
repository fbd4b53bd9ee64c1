import { describe, expect, it } from 'vitest'
import { now, settled } from '../../tests/support/settled-machine'
import type { MachineRecord } from '../kernel/machine'
import { assess } from '../planning/assess'
import { proposedRole, roleOf } from './assembly-roles'
import { type Visit, compareVisits } from './corrosion-growth'
import { rateCorrosion, rateMeasured, ratingBands, rustBands } from './corrosion-rating'
import { type Presence, gradeAgainst } from './grades'
import { type DamageSeen, impliedChecks } from './implied-checks'
import { type Scale, judgeScale, measureMark, mmPerPx, shareOfPicture } from './marks'
import { type Criterion, type Path, type TriageInput, significanceCriteria, triage } from './triage'

// What was seen of a machine, judged from both sides of each limit. Common practice, no source, unless one is named.
const of = (record: Partial<MachineRecord>) => assess({ ...settled, ...record } as MachineRecord, now)
const move = (code: string, record: Partial<MachineRecord>) => of(record).moves.find(m => m.code === code)

describe('looking', () => {
  const part = (name: string, presence: Presence, grade: number | null = null, id = 1) => ({ id, name, presence, grade })
  it('is done with an assembly that is missing, or there and graded', () => {
    const steps = (...assemblies: ReturnType<typeof part>[]) => of({ assemblies }).run[1]!.steps.map(s => s.done)
    expect(steps(part('A', 'missing'), part('B', 'present', 0), part('C', 'present'), part('D', 'not-looked'), part('E', 'never'))).toEqual([
      true,
      true,
      false,
      false,
      true,
    ])
    const unseen = move('look', { assemblies: [part('A', 'missing'), part('C', 'present'), part('D', 'not-looked')] })
    expect([unseen?.says, unseen?.why]).toEqual(['Look at: C, D', '2 of 3 assemblies have no grade yet.'])
    expect(move('look', { assemblies: [part('A', 'missing')] })).toBeUndefined()
  })
  it('asks for the checks that damage implies until they were made, the first of them by name', () => {
    const crust = { damages: [{ kind: 'bulge' as const, severity: 'clear' as const, where: 'C3', assemblyId: 1 }] }
    expect(move('checks', crust)?.says).toBe('Case: look at the other capacitors of the same make and age, and 1 more check')
    expect(move('checks', { ...crust, checksDone: [{ code: 'bulge.0.case' }] })?.says).toBe('Case: look under the capacitor for residue')
    expect(move('checks', { ...crust, checksDone: [{ code: 'bulge.0.case' }, { code: 'bulge.1.case' }] })).toBeUndefined()
    expect(of({ ...crust, checksDone: [{ code: 'bulge.0.case' }] }).run[1]!.steps.map(s => s.done)).toEqual([true, true, false])
  })
  it('is sent back where severe damage stands beside a grade of none', () => {
    const damage = (severity: 'severe' | 'clear') => ({ kind: 'rust' as const, severity, where: 'edge' })
    expect(
      [
        gradeAgainst(0, [damage('severe')]),
        gradeAgainst(0, [damage('clear')]),
        gradeAgainst(1, [damage('severe')]),
        gradeAgainst(null, [damage('severe')]),
      ].map(Boolean),
    ).toEqual([true, false, false, false])
    const graded = (assemblyId: number | null) => move('grade-again', { assemblies: [part('A', 'present', 0)], damages: [{ ...damage('severe'), assemblyId }] })
    expect([graded(1)?.why, graded(2), graded(null)]).toEqual(['Severe damage is marked on it: rust, edge. It cannot be sound.', undefined, undefined])
  })
  it('counts what was done before us until it is understood or undone', () => {
    const seen = (...states: ('not-understood' | 'understood' | 'undone')[]) =>
      move('interventions', { interventions: states.map(state => ({ kind: 'glue', state, where: 'x' })) })?.says
    expect([seen('understood', 'undone'), seen('not-understood', 'not-understood', 'undone')]).toEqual([undefined, 'Understand what was done to it before: 2'])
  })
  it('compares the newest two measurements of one place', () => {
    const seen = (...areas: number[]) =>
      move('corrosion-grows', {
        corrosions: areas.map((areaPct, i) => ({ what: 'edge', assembly: '', areaPct, errorPct: 1, at: `2026-0${i + 1}-01`, areaMm2: null })),
      })?.says
    expect([seen(10), seen(10, 20), seen(20, 10), seen(10, 20, 20), seen(30, 10, 20)]).toEqual([
      undefined,
      'Stop what feeds the corrosion: edge',
      undefined,
      undefined,
      'Stop what feeds the corrosion: edge',
    ])
  })
})

describe('checks that damage implies', () => {
  const codes = (kind: DamageSeen['kind'], where: string, assembly = '', severity: DamageSeen['severity'] = 'clear') => [
    ...new Set(impliedChecks([{ kind, where, assembly, severity }]).map(c => c.rule)),
  ]
  it.each<[DamageSeen['kind'], string, string, string[]]>([
    ['crust', 'under the battery', '', ['alkali', 'crust']],
    ['crust', 'corner', '', ['crust']],
    ['stain', 'by the clock chip', '', ['alkali']],
    ['stain', 'lid', '', []],
    ['growth', 'barrel', '', ['alkali', 'growth']],
    ['tide-line', 'side', '', ['water']],
    ['burn', 'x', '', ['burn']],
    ['crack', 'C1', 'Supply', ['crack-filter']],
    ['crack', 'filter board', '', ['crack-filter', 'crack-board']],
    ['break', 'standoff', '', ['crack-board']],
    ['break', 'lid', '', []],
    ['rust', 'x', '', ['rust']],
    ['altered', 'x', '', ['altered']],
    ['missing', 'x', '', ['altered']],
    ['wear', 'feet', '', []],
  ])('%s, %s %s: %o', (kind, where, assembly, rules) => expect(codes(kind, where, assembly)).toEqual(rules))
  it('come once for an assembly, the severe first, with what was seen', () => {
    const all = impliedChecks([
      { kind: 'rust', where: 'edge', assembly: 'Case', severity: 'slight' },
      { kind: 'rust', where: 'hinge', assembly: 'Case', severity: 'severe' },
      { kind: 'rust', where: 'x', assembly: '', severity: 'clear' },
    ])
    expect(all.map(c => [c.code, c.why.split('Seen: ')[1]])).toEqual([
      ['rust.0.case', 'rust, hinge.'],
      ['rust.1.case', 'rust, hinge.'],
      ['rust.0.machine', 'rust, x.'],
      ['rust.1.machine', 'rust, x.'],
    ])
    expect([all[0]!.says, all[2]!.says]).toEqual(['Case: look at the screws and standoffs around it', 'Look at the screws and standoffs around it'])
  })
})

describe('a rating', () => {
  // ISO 10289 and ISO 4628-3, from memory: upper ends of the bands.
  it('changes at the end of each band, and not before', () => {
    for (const [i, { upToPct, rating }] of ratingBands.entries()) {
      expect(rateCorrosion({ areasPct: [upToPct] }).rating).toBe(rating)
      if (ratingBands[i + 1]) expect(rateCorrosion({ areasPct: [upToPct + 0.001] }).rating).toBe(ratingBands[i + 1]!.rating)
    }
    for (const [i, { upToPct, degree }] of rustBands.entries()) {
      expect(rateCorrosion({ areasPct: [upToPct], steel: true }).rustDegree).toBe(degree)
      if (rustBands[i + 1]) expect(rateCorrosion({ areasPct: [upToPct + 0.001], steel: true }).rustDegree).toBe(rustBands[i + 1]!.degree)
    }
  })
  it('stops from 3 down, asks for care from 6 down, and is none where its error covers several', () => {
    const level = (areaPct: number) => rateCorrosion({ areasPct: [areaPct] }).findings[0]!.level
    expect([level(0), level(0.5), level(0.6), level(5), level(5.1)]).toEqual(['fine', 'note', 'care', 'care', 'stop'])
    expect(rateCorrosion({ areasPct: [0.1, 0.2] }).rating).toBe(7)
    expect(rateCorrosion({ areasPct: [1] }).exactRating).toBeCloseTo(6, 9)
    expect([rateCorrosion({ areasPct: [0] }).exactRating, rateCorrosion({ areasPct: [1] }).rustDegree]).toEqual([null, null])
    const within = (areaPct: number, errorPct: number, steel = false) => rateMeasured({ areaPct, errorPct, steel })
    expect(within(4, 0.5)).toMatchObject({ rating: 4, rustDegree: null })
    expect(within(4, 0.5, true)).toMatchObject({ rating: 4, rustDegree: 4 })
    expect(within(9, 1, true)).toMatchObject({ rating: 3, rustDegree: null })
    expect(within(9, 1, true).findings.map(f => f.code)).not.toContain('corrosion.rust-degree')
    expect(within(5, 1)).toMatchObject({ rating: null, findings: [{ level: 'stop', says: expect.stringContaining('Between rating 3 and 4') as string }] })
    expect([within(1, 0.1).findings[0]!.level, within(0.5, 0.1).findings[0]!.level, within(0.25, 0.1).findings[0]!.level]).toEqual(['care', 'care', 'note'])
    expect(within(100, 5).rating).toBe(0)
    for (const areasPct of [[], [-1], [101], [60, 41]])
      expect(() => rateCorrosion({ areasPct })).toThrow(expect.objectContaining({ name: 'InputError' }) as Error)
  })
})

describe('growth', () => {
  const visit = (areaPct: number, more: Partial<Visit> = {}): Visit => ({ at: '2026-01-01T10:00:00Z', areaPct, errorPct: 1, areaMm2: null, ...more })
  const code = (a: Visit, b: Visit) => compareVisits(a, b).findings[0]!.code
  it('is one only beyond both errors together', () => {
    expect([code(visit(10), visit(12)), code(visit(10), visit(12.1)), code(visit(12.1), visit(10)), code(visit(12), visit(10))]).toEqual([
      'growth.within-error',
      'growth.grows',
      'growth.less',
      'growth.within-error',
    ])
    expect([compareVisits(visit(10), visit(12.1)).grows, compareVisits(visit(12.1), visit(10)).grows]).toEqual([true, false])
  })
  it('adds what the outlines differ by, and compares none that differ by more than a quarter', () => {
    const outlined = (outlineShare: number) => visit(20, { outlineShare })
    expect(code(outlined(0.4), { ...outlined(0.5), areaPct: 24 })).toBe('growth.within-error')
    expect(code(outlined(0.5), { ...outlined(0.5), areaPct: 24 })).toBe('growth.grows')
    expect([code(outlined(0.4), outlined(0.5)), code(outlined(0.39), outlined(0.5))]).toEqual(['growth.within-error', 'growth.not-comparable'])
    expect(code(outlined(0.1), { ...visit(40), outlineShare: undefined })).toBe('growth.grows')
    const sized = (areaPct: number, outlineMm2: number) => visit(areaPct, { outlineMm2, areaMm2: (areaPct / 100) * outlineMm2 })
    expect([code(sized(10, 1000), sized(20, 1000)), code(sized(10, 1000), sized(10, 1251)), code(sized(20, 1000), sized(20, 1100))]).toEqual([
      'growth.grows',
      'growth.not-comparable',
      'growth.within-error',
    ])
    // 100 to 200 mm²: 10 mm² of each, 4 % of both for the scales.
    expect(compareVisits(sized(10, 1000), sized(20, 1000))).toMatchObject({ changeMm2: 100, changePct: 10, errorPct: 2 })
    expect(compareVisits(sized(10, 1000), sized(20, 1000)).findings[0]!.because[1]).toContain('good to 32 mm²')
    expect(compareVisits(visit(10), visit(20)).changeMm2).toBeNull()
    expect(compareVisits(sized(10, 1000), sized(10, 2000)).grows).toBe(false)
  })
})

describe('a mark', () => {
  const size = { widthPx: 1000, heightPx: 500 }
  const scale: Scale = { from: [0, 0], to: [0.5, 0], distanceMm: 50 }
  it('is measured by the scale of its photograph', () => {
    expect(mmPerPx(scale, size)).toBeCloseTo(0.1, 12)
    expect(
      measureMark(
        {
          form: 'line',
          points: [
            [0, 0],
            [0.3, 0],
            [0.3, 0.8],
          ],
        },
        size,
        scale,
      ),
    ).toMatchObject({ lengthMm: expect.closeTo(70, 9) as number, areaMm2: null, extent: 'about 70 mm' })
    expect(
      measureMark(
        {
          form: 'polygon',
          points: [
            [0, 0],
            [0.3, 0],
            [0.3, 0.8],
            [0, 0.8],
          ],
        },
        size,
        scale,
      ),
    ).toMatchObject({ lengthMm: expect.closeTo(140, 9) as number, areaMm2: expect.closeTo(1200, 6) as number })
    expect(measureMark({ form: 'point', points: [[0, 0]] }, size, scale).extent).toBe('')
    expect(
      measureMark(
        {
          form: 'line',
          points: [
            [0, 0],
            [1, 1],
          ],
        },
        size,
        null,
      ).lengthMm,
    ).toBeNull()
    for (const [to, distanceMm, fine] of [
      [[0.5, 0], 5000, true],
      [[0.5, 0], 5001, false],
      [[0.5, 0], 0, false],
      [[0.005, 0], 1, true],
      [[0.0049, 0], 1, false],
    ] as const) {
      const made = () => mmPerPx({ from: [0, 0], to, distanceMm }, size)
      if (fine) expect(made).not.toThrow()
      else expect(made).toThrow(expect.objectContaining({ name: 'InputError' }) as Error)
    }
    expect(judgeScale({ ...scale, to: [0.04, 0] }, size)[0]?.code).toBe('scale.short')
    expect(judgeScale(scale, size)[0]?.code).not.toBe('scale.short')
    expect([
      shareOfPicture([]),
      shareOfPicture([
        [0, 0],
        [1, 0],
      ]),
      shareOfPicture([
        [0, 0],
        [1, 0],
        [1, 1],
      ]),
    ]).toEqual([1, 1, 0.5])
  })
})

describe('a path', () => {
  const sound = { presence: 'present', grade: 1 } as const
  const gone = { presence: 'missing', grade: null } as const
  const base: TriageInput = {
    assemblies: [
      { name: 'A', ...sound },
      { name: 'B', ...sound },
    ],
    significance: { historic: 0, research: 0, rarity: 0, completeness: 0, show: 0 },
    hours: { low: 1, high: 1 },
    cost: { low: 0, high: 0 },
    sisters: { running: 0, wanting: 0 },
    ours: true,
  }
  const judge = (value: number, ...criteria: Criterion[]) => ({ significance: { ...base.significance, ...Object.fromEntries(criteria.map(c => [c, value])) } })
  const terms = (path: Path, more: Partial<TriageInput> = {}) =>
    triage({ ...base, ...more })
      .paths.find(p => p.path === path)!
      .terms.map(t => `${Math.round(t.weight * 100) / 100} ${t.says}`)
  const [oneGone, allGone] = [
    [
      { name: 'A', ...gone },
      { name: 'B', ...sound },
    ],
    [
      { name: 'A', ...gone },
      { name: 'B', ...gone },
    ],
  ]
  const lostForGood = [
    { name: 'A', ...gone, irreplaceable: true },
    { name: 'B', ...sound },
  ]
  const poor = [
    { name: 'A', presence: 'present' as const, grade: 2 },
    { name: 'B', ...sound },
  ]
  const half = [
    { name: 'A', presence: 'not-looked' as const, grade: null },
    { name: 'B', ...sound },
  ]

  it.each<[Path, Partial<TriageInput>, string[]]>([
    ['run-again', {}, ['2 Nothing essential is lost.']],
    ['run-again', { assemblies: half }, ['1 Nothing essential is lost, of what was looked at.']],
    ['run-again', { assemblies: [half[0]!] }, []],
    ['run-again', { assemblies: oneGone }, ['-1.75 Lost or missing: a.']],
    ['run-again', { assemblies: lostForGood }, ['-1.75 Lost or missing: a.', '-3 Cannot be replaced: a.']],
    ['run-again', { assemblies: poor }, ['2 Nothing essential is lost.', '-0.3 Wants work: a.']],
    ['run-again', { hours: { low: 40, high: 40 }, cost: { low: 0, high: 200 } }, ['2 Nothing essential is lost.']],
    [
      'run-again',
      { hours: { low: 40, high: 44 }, cost: { low: 0, high: 240 } },
      ['2 Nothing essential is lost.', '-0.7 40 to 44 hours of work.', '-0.6 Parts for up to €240.00.'],
    ],
    ['run-again', { sisters: { running: 1, wanting: 1 } }, ['2 Nothing essential is lost.', '-0.5 A sister runs already.']],
    ['run-again', { sisters: { running: 1, wanting: 1 }, ...judge(2, 'show') }, ['1.6 What it can show running: 2 of 3.', '2 Nothing essential is lost.']],
    ['run-again', { sisters: { running: 0, wanting: 1 } }, ['2 Nothing essential is lost.', '0.5 None of its sisters runs.']],
    ['run-with-substitutes', {}, []],
    ['run-with-substitutes', { assemblies: oneGone }, ['0.6 A substitute is quicker for: a.']],
    ['run-with-substitutes', { assemblies: lostForGood }, ['1.8 Original parts cannot be had: a.']],
    ['run-with-substitutes', { assemblies: allGone }, ['0.6 A substitute is quicker for: a, b.', '-1.5 More than half of it would be foreign.']],
    ['run-with-substitutes', judge(2, 'research', 'rarity'), []],
    ['run-with-substitutes', judge(3, 'research'), ['-1.2 So rare or telling that what is foreign in it misleads.']],
    ['run-with-substitutes', { hours: { low: 60, high: 60 } }, []],
    ['run-with-substitutes', { hours: { low: 80, high: 80 } }, ['-1 80 to 80 hours of work.']],
    ['display-only', {}, []],
    [
      'display-only',
      { assemblies: oneGone, sisters: { running: 1, wanting: 0 } },
      ['0.8 Too much is lost to run it: a.', '0.8 A sister can be run in its place.'],
    ],
    ['display-only', { assemblies: allGone }, ['-4 Nothing of it is there to be shown.']],
    [
      'display-only',
      judge(2, 'historic', 'completeness', 'show'),
      ['1.2 Its history: 2 of 3.', '0.6 It is complete to look at.', '-0.8 It makes little sense standing still.'],
    ],
    ['display-only', { hours: { low: 61, high: 61 } }, ['0.6 61 to 61 hours would be spared.']],
    ['conserve', {}, ['-0.8 Little would be kept that its sisters do not keep.']],
    [
      'conserve',
      { ...judge(2, 'research', 'show'), assemblies: oneGone },
      [
        '1 Significance: 2 of 3 for history, research or rarity.',
        '0.7 Its state as found can still be studied.',
        '0.5 What is lost would be guessed at.',
        '-0.7 It makes little sense standing still.',
      ],
    ],
    ['conserve', judge(3, 'rarity'), ['2 Significance: 3 of 3 for history, research or rarity.', '0.8 The only one known.']],
    ['donor', { sisters: { running: 1, wanting: 0 } }, []],
    ['donor', {}, ['-1.5 No sister would gain from it.']],
    ['donor', { assemblies: oneGone, sisters: { running: 0, wanting: 1 } }, ['0.75 Lost or missing: a.', '0.5 A sister wants parts; sound here: b.']],
    [
      'donor',
      { sisters: { running: 0, wanting: 4 }, ...judge(3, 'completeness', 'historic') },
      ['1.5 4 sisters want parts; sound here: a, b.', '-3 Significance: 3 of 3 for history, research or rarity.', '-1 It is whole.'],
    ],
    ['donor', { sisters: { running: 1, wanting: 0 }, ours: false }, ['-5 It is not ours to take apart.']],
    ['donor', { sisters: { running: 1, wanting: 0 }, ours: false, consent: { allowed: ['donor'], upTo: 0, mustAsk: '' } }, []],
    ['back-to-owner', { ours: false }, ['1.5 What its owner agrees to is not recorded.']],
    [
      'back-to-owner',
      { ours: false, consent: { allowed: [], upTo: 10, mustAsk: '' }, cost: { low: 11, high: 12 }, assemblies: lostForGood },
      ['2 It costs more than its owner agreed to.', '0.8 Cannot be replaced: a.'],
    ],
    [
      'back-to-owner',
      { ours: false, consent: { allowed: ['repair'], upTo: 10, mustAsk: '' }, cost: { low: 1, high: 10 } },
      ['-1.5 The owner wants it repaired, and the cost is within what was approved.'],
    ],
  ])('%s, with %o', (path, more, wanted) => expect(terms(path, more)).toEqual(wanted))

  it('that costs more than was agreed loses by how far, and decisively from three times on', () => {
    const beyond = (low: number, upTo = 100) =>
      terms('run-with-substitutes', { ours: false, consent: { allowed: [], upTo, mustAsk: '' }, cost: { low, high: low } })
    expect([beyond(100), beyond(150), beyond(300), beyond(900), beyond(1, 0)].map(t => t[0]?.split(' ')[0])).toEqual([undefined, '-1', '-6', '-6', '-6'])
    expect(terms('run-with-substitutes', { ours: false, cost: { low: 900, high: 900 } })).toEqual([])
  })
  it('is told with what nobody has seen, how close the next is, and what to look at next', () => {
    const codes = (more: Partial<TriageInput>) => triage({ ...base, ...more }).findings.map(f => `${f.level} ${f.code}`)
    expect(codes({})[0]).toBe('note triage.first')
    expect(codes({ assemblies: [half[0]!] })).toEqual(expect.arrayContaining(['care triage.first', 'care triage.unseen']))
    expect(codes({ assemblies: half })).toContain('care triage.unseen')
    expect(codes({ ...judge(1, 'show') })).not.toContain('care triage.close')
    const looks = triage({
      ...base,
      ...judge(1, 'show'),
      assemblies: [
        { name: 'Board', presence: 'not-looked', grade: null, irreplaceable: true },
        { name: 'Case', presence: 'present', grade: null, irreplaceable: true },
        { name: 'Lid', ...sound },
      ],
    }).nextLooks
    expect(looks.map(l => [l.name, l.minutes])).toEqual([
      ['Case', 20],
      ['Board', 40],
    ])
    expect(looks.every(l => l.changes > 0 && l.changes <= 1)).toBe(true)
    for (const [field, bad] of [
      ['hours', { low: 2, high: 1 }],
      ['cost', { low: -1, high: 1 }],
      ['significance', judge(4, 'show').significance],
    ] as const)
      expect(() => triage({ ...base, [field]: bad })).toThrow(expect.objectContaining({ name: 'InputError' }) as Error)
    expect(() => triage({ ...base, ...judge(3, ...(Object.keys(significanceCriteria) as Criterion[])) })).not.toThrow()
  })
  it('names what would bring another to the head, and asks what its owner has not agreed to', () => {
    const changes = triage({ ...base, ...judge(1, 'show'), assemblies: lostForGood }).wouldChange.map(c => c.says)
    expect(changes).toContain('A sound one is found: a.')
    const owned = triage({ ...base, ours: false, cost: { low: 0, high: 20 }, ...judge(3, 'show') })
    expect(owned.ask.join(' ')).toContain('May it cost up to €20.00?')
    expect(owned.paths.find(p => p.path === 'run-again')?.findings.map(f => f.code)).toContain('triage.cost')
    expect(
      triage({
        ...base,
        ours: false,
        consent: { allowed: ['open', 'clean', 'start', 'repair'], upTo: 20, mustAsk: '' },
        cost: { low: 0, high: 20 },
      }).paths.find(p => p.path === 'run-again')?.findings,
    ).toEqual([])
  })
})

it.each([
  ['Power supply', 'supply'],
  ['Card cage', 'backplane'],
  ['Main board', 'main-board'],
  ['Board', 'main-board'],
  ['Memory card', 'memory'],
  ['Modulator', 'video'],
  ['Disk controller', 'controller'],
  ['Tape drive', 'drive'],
  ['Serial card', 'ports'],
  ['Desk', 'case'],
  ['Thing', 'other'],
] as const)('%s is taken for: %s, until somebody says', (name, role) => {
  expect([proposedRole(name), roleOf({ name, role: null }), roleOf({ name, role: 'fan' })]).toEqual([role, role, 'fan'])
})
