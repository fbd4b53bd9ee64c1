import { resolve } from 'node:path'
import { openDatabase } from '../db/connection'
import { Caretaker } from '../kernel/settling/caretaker'
import type { Bench } from '../kernel/work'
import { announce } from '../live/hub'

/** The data folder: `JOLLY_DATA`, else `data` beside the program. */
export const dataFolder = () => resolve(process.env.JOLLY_DATA ?? 'data')

/**
 * The one clock of this process. `JOLLY_CLOCK_SPEED` lets it run faster from the start on, for rehearsals and tests:
 * what is measured while it does is worth nothing.
 */
function clock(): () => Date {
  const speed = Number(process.env.JOLLY_CLOCK_SPEED ?? 1)
  if (!(speed > 1)) return () => new Date()
  const began = Date.now()
  return () => new Date(began + (Date.now() - began) * speed)
}

let opened: (Bench & { caretaker: Caretaker }) | undefined

/** The one open database of this process, with the clock, the live hub and the caretaker that commands need. */
export function useBench(): Bench & { caretaker: Caretaker } {
  if (!opened) {
    const bench: Bench = { db: openDatabase(dataFolder()), now: clock(), announce }
    const caretaker = new Caretaker(bench)
    opened = Object.assign(bench, { caretaker, wake: () => caretaker.wake() })
  }
  return opened
}
