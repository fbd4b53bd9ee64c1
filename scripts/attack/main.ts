/**
 * `npm run attack`: attacks the built application as somebody would who means it ill, or a power cut that means nothing; prints figures.
 * `npm run attack -- bounds crash --seed 7 --seconds 60` names what is run; the same seed sends the same.
 */
import { parseArgs } from 'node:util'
import { built } from '../lib/setup.mjs'
import { type Outcome, type Run, attack } from './attack'
import { access } from './access'
import { bounds } from './bounds'
import { crash } from './crash'
import { door } from './door'
import { extremesFor, extremesOfTests } from './extremes'
import { fault } from './fault'
import { fuzz } from './fuzz'
import { propertiesFor } from './properties'
import { truthFor } from './truth'
import { updateKilled } from './update'

const runs: Record<string, Run> = { crash, fuzz, bounds, access, door, fault }
/** These need no server. */
const alone: Record<string, (seed: number, seconds: number) => Promise<Outcome>> = {
  'extremes': extremesFor,
  'extremes-of-tests': extremesOfTests,
  'properties': propertiesFor,
  'truth': truthFor,
  'update': updateKilled,
}
const names = [...Object.keys(runs), ...Object.keys(alone)]
const { values, positionals } = parseArgs({
  options: { seed: { type: 'string', default: '1' }, seconds: { type: 'string', default: '45' } },
  allowPositionals: true,
})
const wanted = positionals.length ? positionals : names
const unknown = wanted.filter(name => !names.includes(name))
if (unknown.length) {
  console.error(`There is no ${unknown.join(', ')}. Known are ${names.join(', ')}.`)
  process.exit(2)
}
await built()
let failed = 0
for (const name of wanted) {
  console.log(`\n— ${name}, seed ${values.seed}`)
  const how = { seed: Number(values.seed), seconds: Number(values.seconds) }
  const { figures, failures, late = [] } = await (alone[name]?.(how.seed, how.seconds) ?? attack(runs[name]!, how))
  for (const [what, figure] of Object.entries(figures)) console.log(`  ${what.padEnd(60)} ${figure}`)
  for (const failure of failures) console.log(`  DID NOT HOLD: ${failure}`)
  for (const one of late) console.log(`  LATE: ${one}`)
  failed += failures.length + late.length
}
console.log(`\n${wanted.length} runs, ${failed} did not hold.`)
process.exit(failed ? 1 : 0)
