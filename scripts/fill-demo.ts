/** Fills a fresh data folder with the demo collection: `tsx scripts/fill-demo.ts <folder>`. */
import { fillDemoCollection } from './lib/demo-collection'

const folder = process.argv[2]
if (!folder) throw new Error('Say which folder to fill.')
const { machines, people } = await fillDemoCollection(folder)
console.log(`${machines} machines, ${people} people.`)
