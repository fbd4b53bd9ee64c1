import { createServer } from 'node:net'
import { afterEach, expect, it } from 'vitest'
import type { MeterFunction } from '#core/power/scpi'
import { MeterDesk } from '../../server/chapters/meter/desk'
import { addressOfMeter } from '../../server/chapters/meter/desk'
import { close, open, runningById } from '../../server/chapters/starts/running'

/** What a slow meter shows in each function: nobody can take one figure for another. */
const shows: Partial<Record<string, number>> = { 'VOLT:DC': 5, 'VOLT:AC': 0.01, 'RES': 470, 'TEMP': 21, 'CURR:DC': 0.4 }
const asked: [MeterFunction, number][] = [
  ['dc-volts', 5],
  ['ohms', 470],
  ['celsius', 21],
  ['dc-amps', 0.4],
  ['ac-volts', 0.01],
]

const ends: (() => void)[] = []
afterEach(() => ends.splice(0).forEach(end => end()))

/** A meter with one function for all who talk to it, that takes its time; and a hand at its knob, if wanted. */
async function slowMeter({ delayMs = 15, saysFunction = true, meddle = (_: number): string | undefined => undefined } = {}) {
  let set = 'VOLT:DC'
  let reads = 0
  let connections = 0
  const server = createServer(socket => {
    connections++
    socket.on('error', () => {})
    socket.setEncoding('latin1').on('data', text => {
      for (const line of String(text).split('\n').filter(Boolean)) {
        const answer = (words: string) => setTimeout(() => socket.write(`${words}\n`), delayMs)
        if (line.startsWith('CONF:')) set = line.slice(5)
        else if (line === '*IDN?') answer('Skerrow,Slow meter,7,1')
        else if (line === 'SYST:ERR?') answer('0,"No error"')
        else if (line === 'CONF?') {
          if (saysFunction) answer(`"${set} 1.0E+01,1.0E-04"`)
        } else if (line === 'READ?') {
          set = meddle(reads++) ?? set
          answer(String(shows[set]))
        }
      }
    })
  })
  await new Promise<void>(up => server.listen(0, '127.0.0.1', up))
  ends.push(() => server.close())
  return { port: (server.address() as { port: number }).port, connections: () => connections }
}
const deskAt = (where: { port: number }) => new MeterDesk(() => ({ host: '127.0.0.1', port: where.port }))

it('whoever asks at the same time as others gets the figure of what they asked, over one connection', async () => {
  const meter = await slowMeter()
  const desk = deskAt(meter)
  const read = await Promise.all([...asked, ...asked.slice(0, 2)].map(async ([what, value]) => [value, (await desk.read(what)).value]))
  for (const [wanted, got] of read) expect(got).toBe(wanted)
  await Promise.all([desk.view(), desk.view(), desk.view()])
  expect(meter.connections()).toBe(1)
})

it('a hand at the knob between question and answer is noticed; where it stays there, nothing is kept', async () => {
  const once = deskAt(await slowMeter({ meddle: n => (n === 0 ? 'RES' : undefined) }))
  expect((await once.read('dc-volts')).value).toBe(5)
  const always = deskAt(await slowMeter({ meddle: () => 'RES' }))
  expect(await always.read('dc-volts')).toMatchObject({ state: 'nonsense', value: null })
})

it('a meter that does not say how it is set is read all the same, and that is told', async () => {
  const desk = deskAt(await slowMeter({ saysFunction: false }))
  expect((await desk.read('ohms')).value).toBe(470)
  expect(await desk.view()).toMatchObject({ state: 'ready', tellsFunction: false })
})

it('of a meter that was elsewhere nothing is shown; too many at once are told to come again', async () => {
  const meter = await slowMeter()
  const where = { port: meter.port }
  const desk = deskAt(where)
  expect(await desk.view()).toMatchObject({ state: 'ready', identity: 'Skerrow Slow meter 7', tellsFunction: true })
  where.port = 1
  expect(await desk.view()).toMatchObject({ state: 'unreachable', identity: '', simulation: null })
  where.port = meter.port
  const many = await Promise.allSettled(Array.from({ length: 20 }, () => desk.read('dc-volts')))
  expect(many.filter(m => m.status === 'rejected').map(m => (m.reason as { status: number }).status)).toEqual(Array(13).fill(503))
})

it('nobody is sent to knock at doors outside the house, unless that is allowed', async () => {
  for (const host of ['127.0.0.1', '192.168.1.20', '169.254.3.4', '::1']) expect(await addressOfMeter(host)).toBe(host)
  for (const host of ['192.0.2.20', '2001:db8::1', 'no.such.host.invalid']) await expect(addressOfMeter(host)).rejects.toMatchObject({ state: 'unreachable' })
  expect(await addressOfMeter('192.0.2.20', true)).toBe('192.0.2.20')
})

it('a second start is told that the meter is elsewhere, and gets it when the first has ended', async () => {
  const plan = { points: [{ rail: '+5 V', nominalV: 5, point: '' }], load: 'loaded' as const, currentLimitA: null, warm: null, mostSeconds: 60, byMeter: true }
  const row = (id: number) => ({ id, plan, atProbe: 'Rua', atSwitch: 'Teodor' }) as unknown as Parameters<typeof open>[0]
  const desk = deskAt(await slowMeter())
  open(row(11), 'SH-11')
  open(row(12), 'SH-12')
  const both = [desk.follow(11), desk.follow(12)]
  await expect.poll(() => [runningById(11)?.run.meter, runningById(12)?.run.meter], { timeout: 3000 }).toEqual(['ready', 'busy'])
  close(11, Date.now())
  await expect.poll(() => runningById(12)?.run.meter, { timeout: 3000 }).toBe('ready')
  close(12, Date.now())
  await Promise.all(both)
})
