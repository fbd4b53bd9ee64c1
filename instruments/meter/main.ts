/** `npm run meter`: the stand-in of a meter on a port of this computer. `--port 5025 --scenario healthy`. */
import { parseArgs } from 'node:util'
import { type ScenarioName, scenarioNames, scenarios } from './simulated-machine'
import { startStandIn } from './stand-in'

const { values } = parseArgs({
  options: { port: { type: 'string', default: process.env.METER_PORT ?? '5025' }, scenario: { type: 'string', default: 'healthy' } },
})
const scenario = scenarioNames.find(name => name === values.scenario) as ScenarioName | undefined
if (!scenario) {
  console.error(
    `There is no scenario “${values.scenario}”. Known are:\n${scenarioNames.map(name => `  ${name.padEnd(16)} ${scenarios[name].says}`).join('\n')}`,
  )
  process.exit(1)
}
try {
  const { port } = await startStandIn({ port: Number(values.port), scenario })
  console.log(`Stand-in of a meter: 127.0.0.1, port ${port}, scenario ${scenario}. It is an instrument for practice; it measures nothing.`)
} catch (error) {
  console.error(`The stand-in could not listen on port ${values.port}: ${(error as Error).message}`)
  process.exit(1)
}
