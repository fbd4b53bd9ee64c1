/** `npm run bench`: speed, memory and accuracy of what is heavy. Prints figures; judges nothing, for machines differ. */
import { built } from '../lib/setup.mjs'
import { benchCorrosion } from './corrosion'
import { benchStart } from './start'

await benchCorrosion()
console.log(`Memory of this process: ${Math.round(process.memoryUsage().rss / 2 ** 20)} MB`)
await built()
await benchStart()
