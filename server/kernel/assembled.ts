import type { Relations } from 'drizzle-orm'
import type { MachineRecord } from '#core/kernel/machine'
import { type ChapterName, chapterNames, chapters as contracts } from '#shared/chapters/index'
import type { MachineSummary, SheetHead } from '#shared/kernel/machine'
import { type AnyChapter, type CardPart, type ColumnsTold, type HeadPart, type Searched, cardParts, columnParts, headParts } from './chapter'
import type { MachineFile, ViewInput } from './file'
import { relationsOf } from './rows'
import type { MachineWork, Work } from './work'

type Merged<P extends keyof AnyChapter> = NonNullable<AnyChapter[P]>
type Carried<W> = Record<string, (work: W, input: never) => unknown>

/** Everything that the kernel does with all chapters at once. */
export interface Assembled {
  onMachine: Carried<MachineWork>
  onCollection: Carried<Work>
  rows: Merged<'rows'>
  rests: Merged<'rests'>
  strikeable: Merged<'strikeable'>
  scopes: Merged<'scopes'>
  /** Every table, and the relations that let a machine be read with all that is kept of it. */
  schema: Record<string, unknown>
  chapters: readonly AnyChapter[]
  /** What the core is told of a machine. */
  recordOf: (file: MachineFile) => MachineRecord
  searchOf: (file: MachineFile) => Required<Searched>
  head: (input: ViewInput) => Pick<SheetHead, HeadPart>
  card: (file: MachineFile) => Pick<MachineSummary, CardPart>
  columns: (file: MachineFile) => ColumnsTold
  views: Partial<Record<ChapterName, (input: ViewInput) => object>>
  leave: Merged<'leave'>
  /** What was paid for a machine, by all chapters, beside what was noted as spent on it. */
  costs: Merged<'costs'>
  preparations: Record<string, (input: never) => unknown>
}

/** Of many records one; nobody takes a name that another has. */
function merged<T>(what: string, chapters: readonly AnyChapter[], of: (c: AnyChapter) => Record<string, T> | undefined): Record<string, T> {
  const all: Record<string, T> = {}
  for (const chapter of chapters)
    for (const [name, value] of Object.entries(of(chapter) ?? {})) {
      if (Object.hasOwn(all, name) && all[name] !== value) throw new Error(`${chapter.name}: another chapter has the ${what} “${name}” already.`)
      all[name] = value
    }
  return all
}
const expectAll = (what: string, names: readonly string[], told: object) => {
  const missing = names.filter(name => !Object.hasOwn(told, name))
  if (missing.length) throw new Error(`No chapter tells the ${what} ${missing.join(', ')}.`)
}
const each = <P extends string, A, R>(parts: readonly P[], by: Record<string, (asked: A) => unknown>) => {
  return (asked: A) => Object.fromEntries(parts.map(part => [part, by[part]!(asked)])) as R
}

/** @throws Error where something that the contracts promise is declared by nobody, or by two */
function checked(chapters: readonly AnyChapter[]): void {
  expectAll('contract', chapterNames, Object.fromEntries(chapters.map(c => [c.name, c])))
  for (const { name, onMachine = {}, onCollection = {}, view, rows, schema } of chapters) {
    const contract = contracts[name]
    expectAll(`command of ${name}`, [...Object.keys(contract.onMachine), ...Object.keys(contract.onCollection)], { ...onMachine, ...onCollection })
    if (Object.keys(contract.view.shape).length && !view) throw new Error(`${name}: its contract shows something, and it has no view.`)
    if (rows && !schema) throw new Error(`${name}: it has rows of tables that it does not declare.`)
  }
  if (chapters.filter(c => c.leave).length !== 1) throw new Error('One chapter knows who has leave for what.')
}

function completed(chapters: readonly AnyChapter[], trunk: Record<string, unknown>): Assembled {
  checked(chapters)
  const rows = merged('rows', chapters, c => c.rows)
  const relations: Relations[] = [...relationsOf(rows), ...chapters.flatMap(c => c.relations ?? [])]
  const [head, card, columns] = [
    merged('part of the head', chapters, c => c.head as Record<string, (input: ViewInput) => unknown>),
    merged('part of a summary', chapters, c => c.card as Record<string, (file: MachineFile) => unknown>),
    merged('column of a summary', chapters, c => c.columns as Record<string, (file: MachineFile) => unknown>),
  ]
  expectAll('part of the head', headParts, head)
  expectAll('part of a summary', cardParts, card)
  expectAll('column of a summary', columnParts, columns)
  const telling = chapters.flatMap(c => c.facts ?? [])
  return {
    chapters,
    rows,
    onMachine: merged('command', chapters, c => c.onMachine),
    onCollection: merged('command', chapters, c => c.onCollection),
    rests: merged('row to rest on', chapters, c => c.rests),
    strikeable: merged('table of observations', chapters, c => c.strikeable),
    scopes: merged('scope', chapters, c => c.scopes as Record<string, never>),
    schema: { ...trunk, ...merged('table', chapters, c => c.schema), ...Object.fromEntries(relations.map((r, i) => [`relation${i}`, r])) },
    recordOf: file => {
      const { stage, life, bookedInAt } = file.machine
      return Object.assign({ stage, life, bookedInAt }, ...telling.map(tells => tells(file))) as MachineRecord
    },
    searchOf: file => {
      const found = chapters.flatMap(c => c.search?.(file) ?? [])
      const all = (where: keyof Searched) => found.flatMap(f => f[where] ?? [])
      return { names: all('names'), claims: all('claims'), notes: all('notes'), faults: all('faults') }
    },
    head: each(headParts, head),
    card: each(cardParts, card),
    columns: each(columnParts, columns),
    views: Object.fromEntries(chapters.flatMap(c => (c.view ? [[c.name, c.view]] : []))),
    preparations: merged('preparation', chapters, c => c.preparations as Record<string, never>),
    costs: (tx, machineId) => chapters.reduce((sum, c) => sum + (c.costs?.(tx, machineId) ?? 0), 0),
    leave: chapters.find(c => c.leave)!.leave!,
  }
}

let kept: Assembled | undefined

/**
 * Hands the chapters to the kernel, once, when the program starts. @param trunk the tables of the kernel's own
 * @throws Error where something that the contracts promise is declared by nobody, or by two
 */
export const assemble = (chapters: readonly AnyChapter[], trunk: Record<string, unknown>): Assembled => (kept = completed(chapters, trunk))

/** All chapters as they were handed over. @throws Error where nobody has yet */
export function assembled(): Assembled {
  if (!kept) throw new Error('No chapters have been handed to the kernel yet; server/chapters/index does.')
  return kept
}

/** What the core is told of a machine. */
export const recordOf = (file: MachineFile): MachineRecord => assembled().recordOf(file)
