import { eq } from 'drizzle-orm'
import { assess } from '#core/planning/assess'
import { daysBetween } from '#core/kernel/days'
import { type ChapterName, type SheetOf, chapterNames } from '#shared/chapters/index'
import type { SheetHead } from '#shared/kernel/machine'
import { assembled, recordOf } from './assembled'
import type { Bench } from './work'
import type { MachineRow, ViewInput } from './file'
import type { Tx } from './history/journal'
import { loadFile } from './load'
import { NotFound } from './refusals'
import { machines } from './trunk'

/** @throws NotFound */
export function machineByTag(tx: Tx, tag: string): MachineRow {
  const machine = tx.select().from(machines).where(eq(machines.tag, tag)).get()
  if (!machine) throw new NotFound(`There is no machine with the tag ${tag}.`)
  return machine
}

/** What stands above and beside whichever chapters are open. */
function headOf(input: ViewInput): Omit<SheetHead, 'unreadable' | 'shown'> {
  const { file, assessment, now } = input
  const { known, run, moves } = assessment
  const { tag, uid, stage, onBench, life, bookedInAt, version, name, maker, nickname, serial, variant, weightKg, place } = file.machine
  const { acquired, fromWhom, owner, lastPowered, lastPoweredBy, lastPoweredWhat } = file.machine
  return {
    tag,
    uid,
    stage,
    onBench,
    life,
    bookedInAt,
    daysHere: daysBetween(bookedInAt, now),
    identity: { version, name, maker, nickname, serial, variant, weightKg, place, acquired, fromWhom, owner, lastPowered, lastPoweredBy, lastPoweredWhat },
    gate: { inForce: known.gateInForce, overruled: known.overruled },
    ...assembled().head(input),
    run,
    moves,
    harm: known.harm,
  }
}

/**
 * The sheet of one machine as it stands at this moment, assessed afresh: its head, and the views of the chapters asked for.
 * @throws NotFound
 */
export function machineSheet<C extends ChapterName>({ db, now }: Pick<Bench, 'db' | 'now'>, tag: string, shows: readonly C[]): SheetOf<C> {
  const at = now().toISOString()
  const file = loadFile(db, machineByTag(db, tag).id)
  const input: ViewInput = { tx: db, file, assessment: assess(recordOf(file), at), now: at }
  const unreadable: SheetHead['unreadable'] = []
  const shown: ChapterName[] = []
  const views = chapterNames
    .filter(name => (shows as readonly string[]).includes(name))
    .map(name => {
      try {
        const view = assembled().views[name]?.(input) ?? {}
        shown.push(name)
        return view
      } catch (error) {
        // A row that no rule can read is a stop on its machine already; the rest of its sheet is shown all the same.
        unreadable.push({ chapter: name, says: (error as Error).message })
        return {}
      }
    })
  return Object.assign({}, { ...headOf(input), shown, unreadable }, ...views) as SheetOf<C>
}
