import type { MeterView } from '#shared/chapters/practice/index'
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
