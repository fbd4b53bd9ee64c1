/** Walks the chains of a database, in a process of its own whose memory the bench measures. A file, so that what it imports is seen where it moves. */
import Database from 'better-sqlite3'
import type { Db } from '../../server/kernel/db'
import { verifyChains } from '../../server/kernel/history/chains'

const before = process.memoryUsage().rss
const from = performance.now()
const { entries, broken } = verifyChains({ $client: new Database(process.argv[2]!, { readonly: true }) } as unknown as Db)
console.log(JSON.stringify({ entries, broken, seconds: (performance.now() - from) / 1000, before, peak: process.resourceUsage().maxRSS * 1024 }))
