/** `npm run verify`: checks the hash chains of the history in the data folder and names the first broken entry. */
import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import Database from 'better-sqlite3'
import { verifyChains } from '../server/kernel/chains'

const file = join(resolve(process.env.JOLLY_DATA ?? 'data'), 'jolly-bench.sqlite')
if (!existsSync(file)) {
  console.error(`There is no database at ${file}. Say where it lies with JOLLY_DATA.`)
  process.exit(2)
}
const { entries, chains, broken } = verifyChains({ $client: new Database(file, { readonly: true }) })
console.log(
  broken
    ? `Broken: entry ${broken.seq} of chain ${broken.chain}${broken.id === null ? '' : ` (row ${broken.id})`}: ${broken.why}.`
    : `Whole: ${entries} entries in ${chains} chains.`,
)
process.exit(broken ? 1 : 0)
