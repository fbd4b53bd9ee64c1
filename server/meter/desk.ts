import { setTimeout as pause } from 'node:timers/promises'
import { type MeterFunction, type MeterState, isSettled, meterFunctions, meterStates, readIdentity } from '#core/power/scpi'
import type { MeterReading, MeterView } from '#shared/chapters/practice/index'
import { NotNow } from '../kernel/refusals'
import { happen, runningById } from '../starts/running'
import { MeterTrouble, ScpiClient } from './scpi-client'
import { type ProbedPins, type Simulation, placeProbes, readSimulation } from './simulation'

export interface MeterAddress {
  host: string
  port: number | null
}

/** How many readings a single measurement waits for the figure to stand still. */
const mostReadings = 8
/** A crack closes and opens again: between two pins so many in a row have to agree. Common practice, no source. */
const probingReadings = 6
/** Between two readings of a watched rail, and after trouble before it is tried anew. */
const pauseMs = { between: 120, afterTrouble: 600 }
/** Every so many readings of DC, one of AC shows the ripple. */
const rippleEvery = 8

/** To the millivolt: what lies behind it is the noise of the meter. */
const shown = (value: number) => Number(value.toFixed(3))

const ofContact = (what: MeterFunction) => what === 'ohms' || what === 'continuity' || what === 'diode'
const overloadSays = (what: MeterFunction) => (ofContact(what) ? 'Open: more than the meter can show.' : 'Overload: more than the meter can show.')

/** Whether the newest readings agree: one overload is one, two figures in a row stand still; between probed pins all of so many do. */
function standsStill(values: readonly (number | null)[], what: MeterFunction, wanted: number): boolean {
  if (wanted > 1) {
    if (values.length < wanted) return false
    const [first, ...rest] = values.slice(-wanted)
    return rest.every(v => (first === null || first === undefined ? v === null : v !== null && isSettled([first, v], what)))
  }
  return values.at(-1) === null || isSettled(values.slice(values.lastIndexOf(null) + 1) as number[], what)
}

/** The one meter of the collection: found, asked, followed while a start runs. */
export class MeterDesk {
  private client: ScpiClient | undefined
  private at = ''
  private state: MeterState = 'none'
  private identity = ''
  private simulation: Simulation | null = null
  /** The start that has the meter. */
  private busyWith: number | undefined

  /** @param nowMs the clock of the collection, in milliseconds */
  constructor(
    private readonly address: () => MeterAddress,
    private readonly nowMs: () => number = Date.now,
  ) {}

  private addressed() {
    const { host, port } = this.address()
    return `${host}:${port}`
  }

  /** The connection, made anew where it is gone or the address has changed. @throws MeterTrouble */
  private async connected(): Promise<ScpiClient> {
    const { host, port } = this.address()
    const at = this.addressed()
    if (this.client && !this.client.closed && this.at === at) return this.client
    this.client?.close()
    this.client = undefined
    this.at = at
    const client = await ScpiClient.connect(host, port ?? 5025)
    try {
      const { maker, model, serial } = readIdentity(await client.ask('*IDN?'))
      this.identity = [maker, model, serial].filter(Boolean).join(' ')
      this.simulation = await readSimulation(client, model)
    } catch (error) {
      client.close()
      throw error instanceof MeterTrouble ? error : new MeterTrouble('nonsense', (error as Error).message)
    }
    return (this.client = client)
  }

  private trouble(error: unknown): MeterState {
    if (!(error instanceof MeterTrouble)) throw error
    this.client?.close()
    this.client = undefined
    return (this.state = error.state)
  }

  async view(): Promise<MeterView> {
    const { host, port } = this.address()
    if (!host) return { host, port, state: 'none', identity: '', simulation: null }
    // While a start runs, the meter is not disturbed for a look.
    if (this.busyWith === undefined) {
      try {
        const client = await this.connected()
        this.state = 'ready'
        this.simulation = await readSimulation(client, this.identity)
      } catch (error) {
        this.trouble(error)
      }
    }
    return { host, port, state: this.state, identity: this.identity, simulation: this.simulation }
  }

  /**
   * One measurement that waits until the figure stands still.
   * @param probed the two pins that the probes are on; their figure has to stand for longer
   * @throws NotNow while a start has the meter
   */
  async read(what: MeterFunction, probed?: ProbedPins): Promise<MeterReading> {
    if (this.busyWith !== undefined)
      throw new NotNow(`The meter watches the start of ${runningById(this.busyWith)?.tag ?? 'another machine'}. It is free again when that has ended.`)
    const { unit } = meterFunctions[what]
    const told = (state: MeterState, more: Partial<MeterReading> = {}): MeterReading => ({
      state,
      value: null,
      overload: false,
      settled: false,
      unit,
      says: meterStates[state].says,
      moved: [],
      ...more,
    })
    if (!this.address().host) return told('none')
    try {
      const client = await this.connected()
      this.state = 'ready'
      if (this.simulation) await placeProbes(client, probed)
      const values: (number | null)[] = []
      while (values.length < mostReadings) {
        const answer = await client.measure(what)
        if (answer.kind === 'nonsense') throw new MeterTrouble('nonsense', answer.text)
        values.push(answer.kind === 'overload' ? null : answer.value)
        if (standsStill(values, what, probed ? probingReadings : 1)) {
          const value = values.at(-1)!
          return value === null
            ? told('ready', { overload: true, settled: true, says: overloadSays(what) })
            : told('ready', { value, settled: true, says: 'The figure stands still.' })
        }
        await pause(pauseMs.between)
      }
      return told('ready', { value: values.at(-1)!, moved: values, says: 'The figure does not stand still. Look at the probes, or read it as it moves.' })
    } catch (error) {
      return told(this.trouble(error))
    }
  }

  /** Tells the stand-in what its simulated machine does. @throws NotNow where the meter is a real one */
  async simulate(order: { scenario?: string; switchedOn?: boolean }): Promise<void> {
    try {
      const client = await this.connected()
      if (!this.simulation) throw new NotNow('The meter is no stand-in: there is nothing to simulate.')
      if (order.scenario !== undefined) await client.tell(`SIM:SCEN ${order.scenario.replace(/[^\w-]/g, '')}`)
      if (order.switchedOn !== undefined) await client.tell(`SIM:SWIT ${order.switchedOn ? 'ON' : 'OFF'}`)
      this.simulation = { ...this.simulation, ...order }
    } catch (error) {
      throw new NotNow(meterStates[this.trouble(error)].says)
    }
  }

  /** Watches the rail that is probed for as long as the start runs. What is seen, and what is not, goes to the start. */
  async follow(startId: number): Promise<void> {
    if (this.busyWith !== undefined) return
    this.busyWith = startId
    const now = this.nowMs
    let probed = ''
    try {
      for (let turn = 0, one = runningById(startId); one; turn++, one = runningById(startId)) {
        const { run } = one
        const kind = run.phase === 'on' && turn % rippleEvery === rippleEvery / 2 ? 'ac-volts' : 'dc-volts'
        try {
          // A connection that went while nobody asked was lost all the same: for a moment nobody saw the rail.
          if (this.client?.closed && this.at === this.addressed()) throw new MeterTrouble('lost', 'The connection is gone.')
          const client = await this.connected()
          if (this.simulation && probed !== run.rail) {
            await client.tell(`SIM:PROB ${run.plan.points.find(p => p.rail === run.rail)!.nominalV}`)
            await client.tell(`SIM:LOAD ${run.plan.load === 'loaded' ? 'ON' : 'OFF'}`)
            probed = run.rail
          }
          const answer = await client.measure(kind)
          if (answer.kind === 'nonsense') throw new MeterTrouble('nonsense', answer.text)
          if (this.state !== 'ready' || run.meter !== 'ready') happen(startId, { do: 'meter', state: (this.state = 'ready') }, now())
          // A reading of the rail before belongs to no other.
          if (runningById(startId)?.run.rail === run.rail)
            happen(startId, { do: 'sample', kind, value: answer.kind === 'value' ? shown(answer.value) : null }, now())
          await pause(pauseMs.between)
        } catch (error) {
          probed = ''
          happen(startId, { do: 'meter', state: this.trouble(error) }, now())
          await pause(pauseMs.afterTrouble)
        }
      }
    } finally {
      this.busyWith = undefined
    }
  }
}
