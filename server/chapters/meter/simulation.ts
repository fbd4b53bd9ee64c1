import type { MeterView } from '#shared/chapters/meter/index'
import type { ScpiClient } from './scpi-client'

export type Simulation = NonNullable<MeterView['simulation']>

/** What the stand-in of the meter simulates; nothing for any other instrument. It says so in its identity, and answers to SIMulate. */
export async function readSimulation(client: ScpiClient, model: string): Promise<Simulation | null> {
  if (!/stand-in/i.test(model)) return null
  const scenarios = (await client.ask('SIM:SCEN:CAT?')).split(';').map(entry => {
    const [name = '', says = ''] = entry.split(':')
    return { name: name.trim(), says: says.trim() }
  })
  return { scenarios, scenario: (await client.ask('SIM:SCEN?')).trim(), switchedOn: (await client.ask('SIM:SWIT?')).trim() === '1' }
}

/** Two pins of a board that the probes are on. */
export interface ProbedPins {
  sheetId: number
  a: string
  b: string
  beyond: boolean
  /** They were lifted off them, or are to be. */
  lifted: boolean
  /** The nets of its sheet, asked for once a sheet. */
  nets: () => { name: string; supply: boolean; pins: string[] }[]
}

/** The sheet whose board each stand-in has been told of. */
const told = new WeakMap<ScpiClient, number>()
/** Pins to a line of commands. */
const pinsToALine = 20
const word = (name: string) => encodeURIComponent(name).slice(0, 150)

/** Puts the probes of the stand-in on two pins of a simulated board with these nets, or takes them off it. */
export async function placeProbes(client: ScpiClient, probed: ProbedPins | undefined): Promise<void> {
  if (!probed) {
    if (told.delete(client)) await client.tell('SIM:BOAR:CLE')
    return
  }
  const { sheetId, a, b, beyond, lifted, nets } = probed
  if (told.get(client) !== sheetId) {
    await client.tell('SIM:BOAR:CLE')
    for (const { name, supply, pins } of nets())
      for (let i = 0; i < pins.length; i += pinsToALine)
        await client.tell(`SIM:BOAR:NET ${[word(name), supply ? 1 : 0, ...pins.slice(i, i + pinsToALine).map(word)].join()}`)
    told.set(client, sheetId)
  }
  await client.tell(lifted ? 'SIM:BOAR:PROB OFF' : `SIM:BOAR:PROB ${[word(a), word(b), beyond ? 1 : 0].join()}`)
}

/** A rail that the probes are on, or are to be lifted off. */
export interface ProbedRail {
  nominalV: number
  lifted: boolean
}
/** Puts the probes of the stand-in on a rail, or takes them off it. */
export const placeOnRail = (client: ScpiClient, { nominalV, lifted }: ProbedRail): Promise<void> => client.tell(`SIM:PROB ${lifted ? 'OFF' : nominalV}`)
