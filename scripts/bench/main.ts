/** `npm run bench`: speed, memory and accuracy of what is heavy. Prints figures; judges nothing, for machines differ. */
import { built } from '../lib/setup.mjs'
import { benchCleaning } from './cleaning'
import { benchContinuity } from './continuity'
import { benchDiagnosis } from './diagnosis'
import { benchCorrosion } from './corrosion'
import { benchCollection } from './collection'
import { benchFirstView } from './first-view'
import { benchInventory } from './inventory'
import { benchParts } from './parts'
import { benchStart } from './start'

/** Only what is named, such as `npm run bench -- collection`; everything where nothing is. */
const wanted = process.argv.slice(2)
const run = async (name: string, bench: () => Promise<void> | void) => (wanted.length && !wanted.includes(name) ? undefined : bench())

await run('corrosion', benchCorrosion)
await run('cleaning', benchCleaning)
await run('continuity', benchContinuity)
await run('diagnosis', benchDiagnosis)
await run('parts', benchParts)
await run('inventory', benchInventory)
console.log(`Memory of this process: ${Math.round(process.memoryUsage().rss / 2 ** 20)} MB`)
await built()
await run('first-view', benchFirstView)
await run('collection', benchCollection)
await run('start', benchStart)
