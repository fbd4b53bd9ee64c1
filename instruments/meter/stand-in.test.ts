import { connect } from 'node:net'
import { afterEach, describe, expect, it } from 'vitest'
import { type StandIn, startStandIn } from './stand-in'
import { scenarioNames } from './simulated-machine'
import { close, open, runningById } from '../../server/chapters/starts/running'
import { MeterDesk } from '../../server/chapters/meter/desk'
import { ScpiClient } from '../../server/chapters/meter/scpi-client'

let standIn: StandIn
let clock = Date.now()
const begin = async (more: Parameters<typeof startStandIn>[0] = {}) => (standIn = await startStandIn({ port: 0, now: () => clock, ...more }))
const deskAt = (port: number) => new MeterDesk(() => ({ host: '127.0.0.1', port }))
afterEach(async () => {
  clock = Date.now()
  await standIn?.close()
})

/** An ordinary client of a line protocol, as any terminal program is one: it knows nothing of ours. */
function ordinaryClient(port: number) {
  const socket = connect(port, '127.0.0.1').setEncoding('latin1')
  let heard = ''
  socket.on('data', chunk => (heard += String(chunk)))
  return {
    say: (line: string) => socket.write(`${line}\n`),
    hears: (pattern: RegExp) => expect.poll(() => heard, { timeout: 3000 }).toMatch(pattern),
    end: () => socket.destroy(),
  }
}

describe('the stand-in', () => {
  it('answers an ordinary client: common commands, long and short words, errors queued until asked for', async () => {
    const { port, switchOn } = await begin()
    switchOn(true)
    clock += 5000
    const client = ordinaryClient(port)
    client.say('*IDN?')
    await client.hears(/^Jolly Bench,Stand-in meter,0,1\.0\n$/)
    client.say('MEASure:VOLTage:DC?')
    await client.hears(/\n\+4\.9\d{7}E\+00\n$|\n\+5\.0\d{7}E\+00\n$/)
    client.say(':conf:temp;READ?')
    await client.hears(/\n\+2\d?\.?\d*E\+01\n$/)
    client.say('FROBnicate 7')
    client.say('SYSTem:ERRor:NEXT?')
    await client.hears(/\n-113,"Undefined header"\n$/)
    client.say('SYST:ERR?')
    await client.hears(/\n0,"No error"\n$/)
    client.end()
  })

  it('knows every scenario by name, and refuses another', async () => {
    const { port } = await begin()
    const client = await ScpiClient.connect('127.0.0.1', port)
    for (const name of scenarioNames) await client.tell(`SIM:SCEN ${name}`)
    await expect(client.tell('SIM:SCEN haunted')).rejects.toMatchObject({ state: 'nonsense' })
  })
})

describe('a single measurement', () => {
  it('waits until the figure stands still, and calls open what is beyond the range', async () => {
    const desk = deskAt((await begin()).port)
    expect(await desk.view()).toMatchObject({
      state: 'ready',
      identity: 'Jolly Bench Stand-in meter 0',
      simulation: { scenario: 'healthy', switchedOn: false },
    })
    expect(await desk.read('ohms')).toMatchObject({ state: 'ready', settled: true, overload: false, unit: 'Ω' })
    await desk.simulate({ switchedOn: true })
    clock += 5000
    expect((await desk.read('dc-volts')).value).toBeCloseTo(4.98, 1)
    expect(await desk.read('ohms')).toMatchObject({ value: null, overload: true })
    expect((await desk.read('celsius')).value).toBeGreaterThan(20)
  })

  it.each([
    ['silent', 'silent'],
    ['garbled', 'nonsense'],
  ] as const)('of a meter that is %s gives a state and no value, and recovers', async (scenario, state) => {
    const desk = deskAt((await begin({ scenario })).port)
    standIn.switchOn(true)
    expect(await desk.read('dc-volts')).toMatchObject({ state, value: null })
    standIn.switchOn(false)
    expect(await desk.read('dc-volts')).toMatchObject({ state: 'ready' })
  })

  it('says so when nothing answers, when something else answers, and when there is no meter', async () => {
    const { port } = await begin()
    await standIn.close()
    expect(await deskAt(port).read('dc-volts')).toMatchObject({ state: 'unreachable', value: null })
    expect(await new MeterDesk(() => ({ host: '', port: null })).read('dc-volts')).toMatchObject({ state: 'none', value: null })
  })
})

describe('the probes on a simulated board', () => {
  const nets = () => Array.from({ length: 6 }, (_, n) => ({ name: `D${n}; "a,b"`, supply: false, pins: ['U1', 'U2', 'U3'].map(u => `${u}.${n}`) }))

  it('read what its faults are, wobble where it is cracked, and leave it for the rails', async () => {
    const desk = deskAt((await begin({ scenario: 'board-battery' })).port)
    const between = (a: string, b: string, beyond = false) => desk.read('ohms', { sheetId: 7, a, b, beyond, lifted: false, nets })
    expect(await between('U1.0', 'U1.1')).toMatchObject({ overload: true, settled: true })
    const crack = standIn.faults().find(f => f.kind === 'crack')!
    const other = nets()
      .find(n => n.pins.includes(crack.pin))!
      .pins.find(p => p !== crack.pin)!
    expect(await between(crack.pin, other)).toMatchObject({ settled: false, moved: expect.arrayContaining([null, expect.any(Number)]) as unknown })
    expect(await between(crack.pin, other, true)).toMatchObject({ overload: true, settled: true })
    const gone = standIn.faults().find(f => f.kind === 'break')!
    expect(await between(gone.a, gone.b)).toMatchObject({ overload: true })
    // Lifted, they are on nothing, whatever pair is in hand.
    expect(await desk.read('ohms', { sheetId: 7, a: crack.pin, b: crack.pin, beyond: false, lifted: true, nets })).toMatchObject({
      overload: true,
      settled: true,
    })
    expect(await desk.read('ohms')).toMatchObject({ overload: false, value: expect.closeTo(380, -1) as number })
    expect(standIn.faults()).toEqual([])
  })
})

describe('a start that the meter watches', () => {
  const plan = { points: [{ rail: '+5 V', nominalV: 5, point: '' }], load: 'loaded' as const, currentLimitA: null, warm: null, mostSeconds: 60, byMeter: true }
  const row = { id: 1, plan, atProbe: 'Rua', atSwitch: 'Teodor' } as unknown as Parameters<typeof open>[0]

  it('gets its readings, loses sight of the rail when the cable is pulled, and finds it again', async () => {
    const desk = deskAt((await begin()).port)
    open(row, 'SH-1')
    const followed = desk.follow(1)
    await expect.poll(() => runningById(1)?.latest?.value, { timeout: 3000 }).toBeTypeOf('number')
    expect(runningById(1)?.run.meter).toBe('ready')
    await expect(desk.read('dc-volts')).rejects.toThrow(/watches the start of SH-1/)
    standIn.unplug()
    await expect.poll(() => runningById(1)?.run.meter, { timeout: 3000, interval: 5 }).toBe('lost')
    await expect.poll(() => runningById(1)?.run.meter, { timeout: 3000 }).toBe('ready')
    close(1, Date.now())
    await followed
  })
})
