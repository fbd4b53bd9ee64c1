import { describe, expect, it } from 'vitest'
import { type CommandRequest, commands } from '#shared/chapters/index'
import { rowOf } from '#shared/chapters/continuity/index'
import type { BoardPin } from '#core/continuity/board'
import { goodFacts as good } from '../../../tests/support/good-facts'
import { serverBench } from '../../../tests/support/server-bench'
import { files } from '../look/index'
import { findPerson } from '../people/index'
import { boardsOf, partPinsOf, placesOf, probeSheetOf } from './index'

const on = serverBench()
const { perform, sheet } = on
const collection = <N extends 'add-model' | 'add-board' | 'add-pairs' | 'add-part-pins' | 'set-board-notes' | 'strike-board-pin'>(
  name: N,
  input: CommandRequest<N>,
) => on.collection(name, commands[name].parse(input))
const pin = (part: string, no: number, net: string, xMm: number, more: Partial<BoardPin> = {}): BoardPin => ({
  part,
  pin: String(no),
  net,
  xMm,
  yMm: no * 2.54,
  side: 'both',
  ...more,
})
/** A data line over four parts, a second one, and a supply beside it. */
const board: BoardPin[] = [
  ...[0, 20, 40, 60].map((x, i) => pin(`U${i + 1}`, 1, 'D0', x, { socketed: i === 0 })),
  ...[0, 40].map((x, i) => pin(`U${i * 2 + 1}`, 2, 'D1', x)),
  pin('U1', 3, '+5V', 0),
  pin('J1', 3, '+5V', 90),
]
function ready(variant = 'issue B') {
  const { modelId } = collection('add-model', {
    name: `Petrel ${Math.random()}`,
    maker: 'Tarnwick Instruments',
    variants: [],
    usualKit: [],
    assemblies: [],
    knownFaults: [],
    rails: [],
  } as never) as { modelId: number }
  const { boardId } = collection('add-board', { modelId, name: 'Main board', issue: 'B', fileName: 'petrel.csv', format: 'table', rows: board.map(rowOf) }) as {
    boardId: number
  }
  const tag = on.bookIn({ modelId, variant })
  const begin = (more: object = {}) =>
    (perform(tag, 'begin-probe-sheet', { boardId, title: 'Below the battery', parts: ['U1'], leadsOhm: 0.3, ...more }) as { sheetId: number }).sheetId
  return { tag, modelId, boardId, begin }
}
const of = (tag: string, sheetId: number) => probeSheetOf(on.db, tag, sheetId, on.ilka.id)
/** Answers every check that is open as a made-up board would, until none is. */
function probeAll(tag: string, sheetId: number, says: (a: string, b: string, beyond: boolean) => (number | null)[]) {
  for (let guard = 0; guard < 60; guard++) {
    const next = of(tag, sheetId).checks.find(c => c.contact === null)
    if (!next) return
    perform(tag, 'answer-probe', { checkId: next.id, readingsOhm: says(next.a.name, next.b.name, next.beyond) })
  }
  throw new Error('It never ends.')
}
/** Between U2 and U3 the line is gone. */
const left = ['U1.1', 'U2.1']
const broken = (a: string, b: string) =>
  a.endsWith('.1') && left.includes(a) !== left.includes(b) ? [null] : a.split('.')[1] === b.split('.')[1] ? [0.5] : [null]

describe('a probe sheet', () => {
  it('finds a break between its two ends, is bridged by a wire with a good reading after it, and the gate hears of both', () => {
    const { tag, begin } = ready()
    perform(tag, 'expect-rails', { rails: [{ name: '+5 V', nominalV: 5 }] })
    perform(tag, 'assess-power', { version: 1, facts: good, inspectedById: on.ilka.id })
    perform(tag, 'measure-off-state', { rail: '+5 V', ohm: 200, reversedOhm: 300, leadsOhm: 0.2, loadAttached: false, rising: false })
    const sheetId = begin()
    expect(of(tag, sheetId).checks.filter(c => c.kind === 'whole' && c.netA === 'D0')).toHaveLength(3)
    expect(sheet(tag).moves.map(m => m.says)).toContain('Go on probing: Below the battery')
    probeAll(tag, sheetId, broken)
    const d0 = () => of(tag, sheetId).nets.find(n => n.net === 'D0')!
    expect(d0()).toMatchObject({ state: 'broken', breaks: expect.arrayContaining([{ a: 'U2.1', b: 'U3.1' }]) as unknown })
    expect(d0().pieces.map(p => p.map(e => e.name).sort())).toEqual([left, ['U3.1', 'U4.1']])
    expect(of(tag, sheetId).nets.find(n => n.net === 'D1')!.state).toBe('whole')
    expect(JSON.stringify(sheet(tag).power.gate)).toContain('Broken nets: D0.')
    // What was asked beside one piece was asked beside the other too, and is once a wire was soldered there.
    const shorts = (a: string) => of(tag, sheetId).checks.filter(c => c.kind === 'short' && [c.a.name, c.b.name].includes(a))
    expect(shorts('U3.1')).toMatchObject([{ contact: 'open', why: expect.stringContaining('in pieces') as string }])
    const wire = { sheetId, net: 'D0', a: 'U2.1', b: 'U3.1', lengthMm: 22, awg: 30 }
    expect(() => perform(tag, 'fit-patch', { ...wire, b: 'U9.9', afterOhm: 0.5 })).toThrow('U9.9 is no end of D0')
    expect(perform(tag, 'fit-patch', { ...wire, afterOhm: null })).toEqual({ contact: 'open' })
    expect(d0().state).toBe('broken')
    expect(perform(tag, 'fit-patch', { ...wire, afterOhm: 0.6 })).toEqual({ contact: 'joined' })
    expect(d0().state).toBe('whole')
    expect(shorts('U3.1').some(c => c.contact === null && c.why.includes('solder'))).toBe(true)
    expect(JSON.stringify(sheet(tag).power.gate)).not.toContain('Broken nets')
    expect(sheet(tag).continuity.patches.map(p => p.contact)).toEqual(['open', 'joined'])
  })

  it('asks what wobbled again from beyond the socket, and calls nothing whole before', () => {
    const { tag, begin } = ready()
    const sheetId = begin()
    const wobble = (a: string, b: string, beyond: boolean) =>
      a.endsWith('.2') && b.endsWith('.2') && !beyond ? [0.4, null, 0.5] : broken('', '') && a.split('.')[1] === b.split('.')[1] ? [0.5] : [null]
    const first = of(tag, sheetId).checks.find(c => c.netA === 'D1')!
    perform(tag, 'answer-probe', { checkId: first.id, readingsOhm: wobble(first.a.name, first.b.name, false) })
    expect(of(tag, sheetId)).toMatchObject({ doubtful: ['D1'] })
    const again = of(tag, sheetId).checks.find(c => c.netA === 'D1' && c.kind === 'whole' && c.contact === null)!
    expect(again).toMatchObject({ beyond: true, why: expect.stringContaining('without pressure on the pin') as string })
    perform(tag, 'answer-probe', { checkId: again.id, readingsOhm: [0.5] })
    expect(of(tag, sheetId).nets.find(n => n.net === 'D1')!.state).toBe('whole')
  })

  it('stops the machine where a supply is joined to a signal, until it was asked again and found open', () => {
    const { tag, begin } = ready()
    const sheetId = begin()
    const short = of(tag, sheetId).checks.find(c => c.kind === 'short' && [c.netA, c.netB].includes('+5V'))!
    perform(tag, 'answer-probe', { checkId: short.id, readingsOhm: [3] })
    expect(of(tag, sheetId).shorts).toMatchObject([{ supply: true }])
    expect(sheet(tag).gate.inForce).toBe('keep-off')
    perform(tag, 'ask-probe-again', { checkId: short.id, why: 'Solder bridge cleared' })
    const again = of(tag, sheetId).checks.find(c => c.kind === 'short' && c.contact === null && [c.netA, c.netB].includes('+5V'))!
    perform(tag, 'answer-probe', { checkId: again.id, readingsOhm: [null] })
    expect(of(tag, sheetId).shorts).toEqual([])
  })

  it('gives two people, and two devices of one, different checks, and the same one to whoever comes back', () => {
    const { tag, begin } = ready()
    const sheetId = begin()
    on.collection('add-person', { name: 'Rua', signInName: 'rua', role: 'volunteer', passwordHash: 'x' } as never)
    const rua = findPerson(on.db, 2)!
    const take = (person = on.ilka, device = '') => (perform(tag, 'take-probe', { sheetId, device }, person) as { checkId: number }).checkId
    const mine = take()
    expect(take()).toBe(mine)
    const hers = take(rua)
    expect(hers).not.toBe(mine)
    const onAnother = take(rua, 'her tablet')
    expect([mine, hers]).not.toContain(onAnother)
    expect(take(rua, 'her tablet')).toBe(onAnother)
    perform(tag, 'answer-probe', { checkId: mine, heard: 'open' })
    expect(() => perform(tag, 'answer-probe', { checkId: mine, heard: 'open' }, rua)).toThrow('answered already')
    expect([hers, onAnother]).not.toContain(take())
    // What somebody left lying is free again after a while.
    on.now = new Date(on.now.getTime() + 121_000)
    expect(take()).toBeLessThanOrEqual(hers)
  })

  it('says when the file is of another issue, goes by what was struck, and does not end with checks left without a word', () => {
    const { tag, boardId, modelId, begin } = ready('issue C')
    expect(() => begin()).toThrow('The file is of issue B, and this machine’s board is issue C')
    collection('strike-board-pin', { boardId, pin: 'U4.1', reason: 'Not connected on this issue' })
    const sheetId = begin({ otherIssueRead: true })
    expect(of(tag, sheetId)).toMatchObject({ otherIssue: true })
    expect(of(tag, sheetId).checks.filter(c => c.kind === 'whole' && c.netA === 'D0')).toHaveLength(2)
    expect(boardsOf(on.db, modelId)[0]).toMatchObject({ parts: ['J1', 'U1', 'U2', 'U3', 'U4'], struck: [{ pin: 'U4.1' }] })
    expect(() => perform(tag, 'end-probe-sheet', { sheetId, note: '' })).toThrow('are not answered')
    perform(tag, 'end-probe-sheet', { sheetId, note: 'Goes to the donor shelf' })
    expect(
      sheet(tag)
        .moves.map(m => m.says)
        .join(),
    ).not.toContain('Go on probing')
  })

  it('does not open while the machine is being powered', () => {
    const { tag, begin } = ready()
    perform(tag, 'expect-rails', { rails: [{ name: '+5 V', nominalV: 5 }] })
    perform(tag, 'assess-power', { version: 1, facts: good, inspectedById: on.ilka.id })
    perform(tag, 'measure-off-state', { rail: '+5 V', ohm: 200, reversedOhm: 300, leadsOhm: 0.2, loadAttached: false, rising: false })
    on.collection('add-person', { name: 'Rua', signInName: 'rua', role: 'volunteer', passwordHash: 'x' } as never)
    perform(tag, 'begin-start', {
      atProbe: 2,
      atSwitch: on.ilka.id,
      byMeter: false,
      load: 'loaded',
      currentLimitA: 0.3,
      warm: null,
      checked: sheet(tag).power.startChecks.map(c => c.code),
    } as never)
    expect(() => begin()).toThrow('It is being powered just now')
  })

  it('is planned for damage that was outlined on a photograph, once the board has been found on it; what does not fit is not kept', () => {
    const { tag, boardId } = ready()
    on.db
      .insert(files)
      .values({ hash: 'd'.repeat(64), mime: 'image/jpeg', bytes: 1, widthPx: 1000, heightPx: 500, keptAt: on.now.toISOString() })
      .run()
    const { photographId } = perform(tag, 'add-photograph', { hash: 'd'.repeat(64), name: 'board.jpg', caption: 'Board' } as never) as { photographId: number }
    // Ten pixels to the millimetre, 50 pixels in from the left and 100 from the top.
    const seen = (pin: string, off = 0) => {
      const p = board.find(b => `${b.part}.${b.pin}` === pin)!
      return { pin, x: (p.xMm! * 10 + 50 + off) / 1000, y: (p.yMm! * 10 + 100) / 500 }
    }
    const register = (pairs: object[]) => perform(tag, 'register-board', { boardId, photographId, pairs } as never)
    expect(() => register([seen('U1.1'), seen('U4.1'), { ...seen('U1.2'), pin: 'U9.9' }])).toThrow('the board has no such pin')
    expect(() => register([seen('U1.1'), seen('U4.1', 60), seen('U1.3'), seen('J1.3'), seen('U3.2')])).toThrow('It does not fit')
    expect(register([seen('U1.1'), seen('U4.1'), seen('U1.3'), seen('J1.3')])).toMatchObject({ says: 'It fits.' })
    perform(tag, 'record-damage', {
      kind: 'crust',
      where: 'round U1',
      extent: '',
      severity: 'clear',
      photographId,
      mark: {
        form: 'polygon',
        points: [
          [0.03, 0.2],
          [0.07, 0.2],
          [0.07, 0.4],
          [0.03, 0.4],
        ],
      },
    } as never)
    const { zones, pictures } = sheet(tag).continuity
    expect(pictures).toMatchObject([{ mirrored: false, residualMm: expect.closeTo(0, 6) as number }])
    // By hand: 0.03 of 1000 px is 30 px, 20 px left of the board's edge; 0.2 of 500 px is its upper edge.
    expect(zones).toMatchObject([
      {
        says: 'Crust, round U1',
        outline: [
          [-2, 0],
          [2, 0],
          [2, 10],
          [-2, 10],
        ],
      },
    ])
    const { sheetId } = perform(tag, 'begin-probe-sheet', { boardId, title: 'Crust', outline: zones[0]!.outline, leadsOhm: 0.2 } as never) as {
      sheetId: number
    }
    expect(new Set(of(tag, sheetId).nets.map(n => n.net))).toEqual(new Set(['D0', 'D1', '+5V']))
    expect(of(tag, sheetId).pictures).toHaveLength(1)
  })

  it('takes pairs from the schematic, and tells where two nets became one', () => {
    const { modelId, boardId } = ready()
    expect(
      collection('add-pairs', {
        boardId,
        version: 1,
        pairs: [
          { a: 'U4.1', b: 'R9.1', page: '3' },
          { a: 'U1.1', b: 'U1.2', page: '3' },
        ],
      }),
    ).toEqual({ merged: 1 })
    expect(boardsOf(on.db, modelId)[0]).toMatchObject({ pins: 9, nets: 2, version: 2 })
  })

  it('takes a part typed by hand where the board does not say otherwise, and tells its pins and places', () => {
    const { boardId } = ready()
    const typed = (net: string, version = 1) =>
      collection('add-part-pins', {
        boardId,
        version,
        part: 'U1',
        pins: [
          { pin: '1', net },
          { pin: '9', net: 'CLK' },
        ],
      })
    expect(() => typed('D7')).toThrow('U1.1 stands in D0 already')
    typed('D0')
    expect(() => typed('D0', 2)).toThrow('on the board already')
    expect(partPinsOf(on.db, boardId, ['U1', 'U99'])).toMatchObject({ parts: [{ part: 'U1', pins: { length: 4 } }] })
    expect(placesOf(on.db, boardId).parts.find(p => p.part === 'U1')).toMatchObject({ left: 0, right: 0, top: 2.54, bottom: 3 * 2.54 })
  })

  it('says what hangs on a broken net, by the notes of the board', () => {
    const { tag, boardId, begin } = ready()
    collection('set-board-notes', {
      boardId,
      version: 1,
      functions: [{ net: 'D*', does: 'a data line' }],
      areas: [{ kind: 'socket', xMm: 0, yMm: 0, widthMm: 4, heightMm: 9 }],
    })
    const sheetId = begin()
    probeAll(tag, sheetId, (a, b) => (a.endsWith('.1') && left.includes(a) !== left.includes(b) ? [null] : [0.5]))
    expect(of(tag, sheetId)).toMatchObject({ broken: ['D0'], explains: [{ net: 'D0', does: 'a data line' }], areas: [{ kind: 'socket' }] })
  })
})
