import { decimals } from '#core/kernel/figure'
import { setTimeout as pause } from 'node:timers/promises'
import { type MeterFunction, type MeterState, isSettled, meterFunctions, meterStates, readIdentity } from '#core/power/scpi'
import type { MeterReading, MeterView } from '#shared/chapters/meter/index'
import { fewAtOnce } from '../../kernel/turns/few-at-once'
import { Busy, NotNow } from '../../kernel/refusals'
import { addressNear } from '../../near/networks'
import { happen, runningById } from '../starts/index'
import { MeterTrouble, ScpiClient } from './scpi-client'
import { type ProbedPins, type ProbedRail, type Simulation, placeOnRail, placeProbes, readSimulation } from './simulation'

/** Where the meter is asked. @throws MeterTrouble `unreachable` where nothing is, or nothing in this house, unless `METER_ANYWHERE=true` */
export async function addressOfMeter(host: string, anywhere = process.env.METER_ANYWHERE === 'true'): Promise<string> {
  const found = await addressNear(host, anywhere)
  if (!found) throw new MeterTrouble('unreachable', `There is no meter at ${host}.`)
  return found.address
}

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
const shown = (value: number) => decimals(value, 3)

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

/** One thing after another at the meter, and few who wait for it. */
const mostWaiting = 6

/** The one meter of the collection: found, asked, followed while a start runs. */
export class MeterDesk {
  private client: ScpiClient | undefined
  private at = ''
  private state: MeterState = 'connecting'
  private identity = ''
  private simulation: Simulation | null = null
  /** The start that has the meter. */
  private busyWith: number | undefined
  /** Whoever has the meter has it alone: a figure and the function it was asked in belong together. */
  private readonly alone = fewAtOnce({ running: 1, waiting: mostWaiting, retryAfterSeconds: 3 })
  private looking: Promise<void> | undefined

  /** @param nowMs the clock of the collection, in milliseconds */
  constructor(
    private readonly address: () => MeterAddress,
    private readonly nowMs: () => number = Date.now,
  ) {}

  /** Where the meter is by now; of one that was elsewhere nothing is known any more. */
  private addressed(): MeterAddress {
    const { host, port } = this.address()
    const at = `${host}:${port}`
    if (at !== this.at) {
      this.client?.close()
      this.client = undefined
      this.at = at
      this.state = host ? 'connecting' : 'none'
      this.identity = ''
      this.simulation = null
    }
    return { host, port }
  }

  /** The connection, made anew where it is gone or the address has changed. Only ever called by whoever has the meter alone. @throws MeterTrouble */
  private async connected(): Promise<ScpiClient> {
    const { host, port } = this.addressed()
    const at = this.at
    if (this.client && !this.client.closed) return this.client
    const client = await this.introduced(await addressOfMeter(host), port ?? 5025)
    // The address was changed while it was being looked for.
    if (this.at !== at) {
      client.close()
      throw new MeterTrouble('lost', 'The meter is elsewhere now.')
    }
    return (this.client = client)
  }

  /** A connection to something that says who it is, as a meter does. @throws MeterTrouble */
  private async introduced(address: string, port: number): Promise<ScpiClient> {
    const client = await ScpiClient.connect(address, port)
    try {
      const { maker, model, serial } = readIdentity(await client.ask('*IDN?'))
      this.identity = [maker, model, serial].filter(Boolean).join(' ')
      this.simulation = await readSimulation(client, model)
    } catch {
      client.close()
      // What else may answer there is nobody's business.
      throw new MeterTrouble('unreachable', 'What answers there is no meter.')
    }
    try {
      await client.learnFunctions()
      return client
    } catch {
      // It does not say how it is set. It is asked without, on a connection that owes no answer.
      client.close()
      return ScpiClient.connect(address, port)
    }
  }

  private trouble(error: unknown): MeterState {
    if (!(error instanceof MeterTrouble)) throw error
    this.client?.close()
    this.client = undefined
    return (this.state = error.state)
  }

  async view(): Promise<MeterView> {
    const { host } = this.addressed()
    // While a start runs, the meter is not disturbed for a look; many who look at once look together.
    if (host && this.busyWith === undefined) await (this.looking ??= this.look().finally(() => (this.looking = undefined)))
    return { ...this.addressed(), state: this.state, identity: this.identity, tellsFunction: this.client?.saysFunction ?? null, simulation: this.simulation }
  }

  private look(): Promise<void> {
    return this.alone(async () => {
      try {
        const client = await this.connected()
        this.simulation = await readSimulation(client, this.identity)
        this.state = 'ready'
      } catch (error) {
        this.trouble(error)
      }
    })
  }

  /**
   * One measurement that waits until the figure stands still.
   * @param probed the two pins that the probes are on; their figure has to stand for longer
   * @param rail the rail that they are on, for a stand-in
   * @throws NotNow while a start has the meter, Busy while too many wait for it
   */
  read(what: MeterFunction, probed?: ProbedPins, rail?: ProbedRail): Promise<MeterReading> {
    return this.alone(async () => {
      if (this.busyWith !== undefined)
        throw new NotNow(`The meter watches the start of ${runningById(this.busyWith)?.tag ?? 'another machine'}. It is free again when that has ended.`)
      if (!this.addressed().host) return told('none', what)
      try {
        return await this.settled(await this.connected(), what, probed, rail)
      } catch (error) {
        return told(this.trouble(error), what)
      }
    })
  }

  /** @throws MeterTrouble */
  private async settled(client: ScpiClient, what: MeterFunction, probed?: ProbedPins, rail?: ProbedRail): Promise<MeterReading> {
    this.state = 'ready'
    if (this.simulation) await placeProbes(client, probed)
    if (this.simulation && rail) await placeOnRail(client, rail)
    const values: (number | null)[] = []
    while (values.length < mostReadings) {
      const answer = await client.measure(what)
      if (answer.kind === 'nonsense') throw new MeterTrouble('nonsense', answer.text)
      values.push(answer.kind === 'overload' ? null : answer.value)
      if (standsStill(values, what, probed && !probed.lifted ? probingReadings : 1)) {
        const value = values.at(-1)!
        return value === null
          ? told('ready', what, { overload: true, settled: true, says: overloadSays(what) })
          : told('ready', what, { value, settled: true, says: 'The figure stands still.' })
      }
      await pause(pauseMs.between)
    }
    return told('ready', what, { value: values.at(-1)!, moved: values, says: 'The figure does not stand still. Look at the probes, or read it as it moves.' })
  }

  /** Tells the stand-in what its simulated machine does. @throws NotNow where the meter is a real one, Busy */
  simulate(order: { scenario?: string; switchedOn?: boolean }): Promise<void> {
    return this.alone(async () => {
      try {
        const client = await this.connected()
        if (!this.simulation) throw new NotNow('The meter is no stand-in: there is nothing to simulate.')
        if (order.scenario !== undefined) await client.tell(`SIM:SCEN ${order.scenario.replace(/[^\w-]/g, '')}`)
        if (order.switchedOn !== undefined) await client.tell(`SIM:SWIT ${order.switchedOn ? 'ON' : 'OFF'}`)
        this.simulation = { ...this.simulation, ...order }
      } catch (error) {
        if (error instanceof NotNow) throw error
        throw new NotNow(meterStates[this.trouble(error)].says)
      }
    })
  }

  /** Watches the rail that is probed for as long as the start runs. What is seen, and what is not, goes to the start. */
  async follow(startId: number): Promise<void> {
    if (!(await this.taken(startId))) return
    const now = this.nowMs
    // What was probed before belongs to another start.
    const at = { rail: '', turn: 0 }
    try {
      for (; runningById(startId); at.turn++) {
        try {
          await this.alone(() => this.watch(startId, at))
          await pause(pauseMs.between)
        } catch (error) {
          at.rail = ''
          if (!(error instanceof Busy)) happen(startId, { do: 'meter', state: this.trouble(error) }, now())
          await pause(pauseMs.afterTrouble)
        }
      }
    } finally {
      this.busyWith = undefined
    }
  }

  /** Takes the meter for a start; waits until no other has it, and says so. @returns whether it still runs */
  private async taken(startId: number): Promise<boolean> {
    while (this.busyWith !== undefined) {
      const one = runningById(startId)
      if (!one || this.busyWith === startId) return false
      if (one.run.meter !== 'busy') happen(startId, { do: 'meter', state: 'busy' }, this.nowMs())
      await pause(pauseMs.afterTrouble)
    }
    if (!runningById(startId)) return false
    this.busyWith = startId
    return true
  }

  /** One reading of the rail that is probed. @throws MeterTrouble */
  private async watch(startId: number, at: { rail: string; turn: number }): Promise<void> {
    const one = runningById(startId)
    if (!one) return
    const { run } = one
    const kind = run.phase === 'on' && at.turn % rippleEvery === rippleEvery / 2 ? 'ac-volts' : 'dc-volts'
    // A connection that went while nobody asked was lost all the same: for a moment nobody saw the rail.
    if (this.client?.closed) throw new MeterTrouble('lost', 'The connection is gone.')
    const client = await this.connected()
    if (this.simulation && at.rail !== run.rail) {
      await client.tell(`SIM:PROB ${run.plan.points.find(p => p.rail === run.rail)!.nominalV}`)
      await client.tell(`SIM:LOAD ${run.plan.load === 'loaded' ? 'ON' : 'OFF'}`)
      at.rail = run.rail
    }
    const answer = await client.measure(kind)
    if (answer.kind === 'nonsense') throw new MeterTrouble('nonsense', answer.text)
    if (this.state !== 'ready' || run.meter !== 'ready') happen(startId, { do: 'meter', state: (this.state = 'ready') }, this.nowMs())
    // A reading of the rail before belongs to no other.
    if (runningById(startId)?.run.rail === run.rail)
      happen(startId, { do: 'sample', kind, value: answer.kind === 'value' ? shown(answer.value) : null }, this.nowMs())
  }
}

/** An answer without a figure, unless one is given. */
function told(state: MeterState, what: MeterFunction, more: Partial<MeterReading> = {}): MeterReading {
  const { unit } = meterFunctions[what]
  return { state, value: null, overload: false, settled: false, unit, says: meterStates[state].says, moved: [], ...more }
}
