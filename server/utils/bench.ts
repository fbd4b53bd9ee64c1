import { resolve } from 'node:path'
import { type Db, openDatabase } from '../db/connection'
import { announce } from '../live/hub'
import type { Bench } from '../services/work'

/** The data folder: `JOLLY_DATA`, else `data` beside the program. */
export const dataFolder = () => resolve(process.env.JOLLY_DATA ?? 'data')

let opened: Bench | undefined

/** The one open database of this process, with the clock and the live hub that commands need. */
export function useBench(): Bench & { db: Db } {
  opened ??= { db: openDatabase(dataFolder()), now: () => new Date(), announce }
  return opened
}
