import fc from 'fast-check'
import { expect, it } from 'vitest'
import { isSupplyNet } from '../continuity/board'
import { judgeContact } from '../continuity/contact'
import { netOnSheet, type SheetCheck } from '../continuity/sheet'
import { planProbes } from '../continuity/probe-plan'
import { simulatedBoard } from './simulated-board'

const nets = Array.from({ length: 8 }, (_, n) => ({ name: `D${n}`, pins: [1, 2, 3, 4].map(u => `U${u}.${n + 1}`) }))
const looks = (board: ReturnType<typeof simulatedBoard>, a: string, b: string, beyond = false) =>
  Array.from({ length: 6 }, () => board.measure(a, b, { beyond }))

it('a whole board is joined along its nets and nowhere else', () => {
  const board = simulatedBoard(nets, 'board-whole')
  expect(judgeContact({ readingsOhm: looks(board, 'U1.1', 'U4.1') }).contact).toBe('joined')
  expect(board.measure('U1.1', 'U1.2')).toBeNull()
})

it('a cracked joint wobbles under a finger and is open from beyond it; a short joins two nets end to end', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5000 }), seed => {
      const board = simulatedBoard(nets, 'board-battery', seed)
      const crack = board.faults.find(f => f.kind === 'crack')!
      const other = nets.find(n => n.name === crack.net)!.pins.find(p => p !== crack.pin)!
      expect(judgeContact({ readingsOhm: looks(board, crack.pin, other) }).contact).toBe('wobbling')
      expect(judgeContact({ readingsOhm: looks(board, crack.pin, other, true) }).contact).toBe('open')
      const short = simulatedBoard(nets, 'board-short', seed)
      const [fault] = short.faults
      if (fault?.kind !== 'short') throw new Error('no short')
      const ends = fault.nets.map(n => nets.find(net => net.name === n)!.pins[3]!)
      expect(judgeContact({ readingsOhm: looks(short, ends[0]!, ends[1]!), expectOpen: true }).contact).toBe('joined')
    }),
  )
})

it('a plan that is carried out on such a board finds every fault of it, and calls no other net broken', () => {
  const pins = nets.flatMap(n =>
    n.pins.map(p => ({ net: n.name, part: p.split('.')[0]!, pin: p.split('.')[1]!, xMm: Number(p[1]) * 20, yMm: Number(p.split('.')[1]) * 2.54 })),
  )
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 5000 }), fc.constantFrom('board-battery', 'board-high-joint', 'board-short', 'board-whole'), (seed, trouble) => {
      const board = simulatedBoard(nets, trouble, seed)
      const { probes } = planProbes({ pins, zone: { parts: ['U2'] } })
      const wrong = new Set<string>()
      for (const { name } of nets) {
        const ends = pins.filter(p => p.net === name)
        const checks: SheetCheck[] = probes.filter(p => p.netA === name && p.netB === name).map(p => ({ ...p, beyond: false, contact: null, at: '' }))
        let state = ''
        for (let i = 0; i < checks.length && i < 60; i++) {
          const c = checks[i]!
          c.contact = judgeContact({ readingsOhm: looks(board, c.a, c.b, c.beyond) }).contact
          c.at = String(i).padStart(3, '0')
          const { found, grows } = netOnSheet(ends, checks, [], isSupplyNet(name))
          state = found.state
          if (grows) checks.push({ kind: 'whole', ...grows, netA: name, netB: name, contact: null, at: '' })
        }
        if (state !== 'whole') wrong.add(name)
      }
      const faulty = new Set(board.faults.flatMap(f => (f.kind === 'short' ? [] : [f.net])))
      expect(wrong).toEqual(faulty)
      const joined = probes.filter(p => p.kind === 'short' && judgeContact({ readingsOhm: looks(board, p.a, p.b), expectOpen: true }).contact === 'joined')
      // Nets of one part are all neighbours in a row only where their pins are.
      for (const p of joined) expect(board.faults).toMatchObject([{ kind: 'short', nets: expect.arrayContaining([p.netA, p.netB]) as string[] }])
    }),
    { numRuns: 60 },
  )
})
