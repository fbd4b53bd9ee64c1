/** `npm run printer`: the stand-in of a label printer on a port of this computer. `--port 8631 --scenario ready --folder data/printed`. */
import { resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { type PrinterScenario, printerScenarioNames, printerScenarios, startPrinter } from './stand-in'

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: process.env.PRINTER_PORT ?? '8631' },
    scenario: { type: 'string', default: 'ready' },
    folder: { type: 'string', default: 'data/printed' },
  },
})
const scenario = printerScenarioNames.find(name => name === values.scenario) as PrinterScenario | undefined
if (!scenario) {
  console.error(
    `There is no scenario “${values.scenario}”. Known are:\n${printerScenarioNames.map(name => `  ${name.padEnd(14)} ${printerScenarios[name]}`).join('\n')}`,
  )
  process.exit(1)
}
try {
  const folder = resolve(values.folder)
  const { uri } = await startPrinter({ port: Number(values.port), folder, scenario })
  console.log(`Stand-in of a label printer: ${uri}; it ${printerScenarios[scenario]}, in ${folder}.`)
} catch (error) {
  console.error(`The stand-in could not listen on port ${values.port}: ${(error as Error).message}`)
  process.exit(1)
}
