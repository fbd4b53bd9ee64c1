import { expect, it } from 'vitest'
import { isSupplyNet } from './board'
import { shortsOfPieces, shortsOfWire } from './beside'
import { type SheetCheck, netOnSheet } from './sheet'

const open = (a: string, b: string, at: string): SheetCheck => ({ kind: 'whole', a, b, netA: 'A', netB: 'A', beyond: false, contact: 'open', at })

it('a net in three pieces is not cleared by one wire; each piece is asked for shorts, and a wire’s ends again', () => {
  const net = (part: number) => ({ part: `U${part}`, pin: '1', net: 'A', xMm: part * 20, yMm: 0, side: 'both' as const })
  const beside = (part: number) => ({ part: `U${part}`, pin: '2', net: part < 3 ? 'B' : '+5V', xMm: part * 20, yMm: 2.54, side: 'both' as const })
  const three = [1, 2, 3].map(net)
  const asked = [open('U1.1', 'U2.1', '1'), open('U1.1', 'U3.1', '2'), open('U2.1', 'U3.1', '3')]
  const wires = [{ a: 'U1.1', b: 'U2.1', contact: 'joined' as const, at: '4' }]
  expect(netOnSheet(three, asked, wires, false).found).toMatchObject({ state: 'broken', pieces: [['U1.1', 'U2.1'], ['U3.1']] })
  expect(netOnSheet(three, asked, [...wires, { a: 'U2.1', b: 'U3.1', contact: 'joined', at: '5' }], false).found.state).toBe('whole')
  const a = { net: 'A', supply: false, ends: three, pieces: [['U1.1'], ['U2.1'], ['U3.1']] }
  const nets = [a, { net: 'B', supply: false, ends: [1, 2].map(beside), pieces: [] }, { net: '+5V', supply: true, ends: [beside(3)], pieces: [] }]
  const pairs = (list: readonly { a: string; b: string }[]) => list.map(s => `${s.a} ${s.b}`)
  expect(pairs(shortsOfPieces(a, nets, [{ a: 'U1.2', b: 'U1.1' }]))).toEqual(['U2.1 U2.2', 'U3.1 U3.2'])
  expect(pairs(shortsOfWire({ a: 'U1.1', b: 'U2.1' }, a, nets))).toEqual(['U1.1 U1.2', 'U2.1 U2.2'])
})
it('names of supplies by their pattern; signals about them are none', () => {
  for (const name of ['VCC', '+5V', '5V_A', 'GND_D', '+3V3', 'P3V3', '12V-IN', 'V+', '/power/VDD_IO', 'VBAT', 'AGND', '-12', '+5V1'])
    expect(isSupplyNet(name), name).toBe(true)
  for (const name of ['VCC_OK', '5V_EN', 'GNDSENSE_SEL', '5', 'D0', 'PGOOD', '/RESET', 'V_SYNC', 'A5V_SEL']) expect(isSupplyNet(name), name).toBe(false)
})
