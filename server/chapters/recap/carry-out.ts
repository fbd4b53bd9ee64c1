import { expectAllRead } from '#core/kernel/places'
import { InputError } from '#core/kernel/input-error'
import { capacitorVerdicts, judgeCapacitor } from '#core/parts/recap/measured'
import { readRecapList } from '#core/parts/recap/read-list'
import { readPrices } from '#core/parts/recap/read-prices'
import { isPolarised } from '#core/parts/substitute/kinds/capacitor'
import { readSpec } from '#core/parts/substitute/typed'
import type { CommandInput } from '#shared/chapters/index'
import { Capacitor } from '#shared/chapters/recap/index'
import { and, asc, eq } from 'drizzle-orm'
import { NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { machines } from '../../kernel/trunk'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork, Work } from '../../kernel/work'
import { photographOf } from '../look/index'
import { fitFromShelf } from '../parts/index'
import { capacitors, knownBoards, prices, recapSchools } from './schema'
import { issueNamed } from './view'

type Row = typeof capacitors.$inferSelect
type New = Pick<Row, 'place' | 'spec' | 'fixing' | 'stressed' | 'note'>

const ofMachine = ({ tx, machine }: Pick<MachineWork, 'tx' | 'machine'>, machineId = machine.id) =>
  tx.select().from(capacitors).where(eq(capacitors.machineId, machineId)).orderBy(asc(capacitors.id)).all()
/** More than one machine holds. */
const mostCapacitors = 2000

/** Puts capacitors on the list of an assembly; those that are there already are refused by their places. @throws InputError */
function list(work: MachineWork, assembly: string, all: readonly New[], field: string): void {
  const { tx, machine } = work
  const had = ofMachine(work)
  const there = new Set(had.filter(one => one.assembly === assembly).map(one => one.place))
  const twice = all.filter(one => there.has(one.place)).map(one => one.place)
  if (twice.length) throw new InputError(field, '', `${twice.slice(0, 5).join(', ')}: listed on ${assembly} already. Leave them out, or change them there.`)
  if (had.length + all.length > mostCapacitors) throw new InputError(field, '', `${mostCapacitors} capacitors of one machine at most.`)
  tx.insert(capacitors)
    .values(all.map(({ place, spec, fixing, stressed, note }) => ({ machineId: machine.id, assembly, place, spec, fixing, stressed, note })))
    .run()
}

/** Which school holds for this machine; none, and the collection's does. */
export function chooseCapacitorSchool({ tx, machine, write }: MachineWork, { school }: CommandInput<'choose-capacitor-school'>): void {
  tx.insert(recapSchools).values({ machineId: machine.id, school }).onConflictDoUpdate({ target: recapSchools.machineId, set: { school } }).run()
  write('capacitors.school', { school })
}

/** Lists capacitors as they were typed; a line that cannot be read keeps all of it from being kept. */
export function listCapacitors(work: MachineWork, { assembly, typed }: CommandInput<'list-capacitors'>): void {
  const read = readRecapList(typed)
  expectAllRead(read.wrong, 'typed')
  if (!read.capacitors.length) throw new InputError('typed', typed, 'The list: a line for each, such as C12 470u 25V radial.')
  list(work, assembly, read.capacitors, 'typed')
  work.write('capacitors.listed', { assembly, count: read.capacitors.length, fromTag: null, known: '' })
}

/** Takes over the list of a sister; what was seen or measured of its parts stays with it. */
export function takeOverCapacitors(work: MachineWork, { fromTag }: CommandInput<'take-over-capacitors'>): void {
  const { tx, machine } = work
  const sister = tx.select().from(machines).where(eq(machines.tag, fromTag)).get()
  if (!sister || sister.id === machine.id || sister.modelId === null || sister.modelId !== machine.modelId)
    throw new InputError('fromTag', fromTag, `${fromTag} is no other machine of the same model.`)
  if (ofMachine(work).length) throw new NotNow('This machine has a list of capacitors already. Only an empty one can be taken over.')
  const theirs = ofMachine(work, sister.id)
  if (!theirs.length) throw new NotNow(`${fromTag} has no list of capacitors.`)
  for (const assembly of new Set(theirs.map(one => one.assembly))) {
    const its = theirs.filter(one => one.assembly === assembly)
    list(work, assembly, its, 'fromTag')
    work.write('capacitors.listed', { assembly, count: its.length, fromTag, known: '' })
  }
}

/** Keeps its list as what every machine of its model and issue has, in the place of what was known before of these boards. */
export function keepCapacitors(work: MachineWork): void {
  const { tx, machine, write } = work
  if (machine.modelId === null) throw new NotNow('Of which model it is is not known: choose one of the models first.')
  const all = ofMachine(work)
  if (!all.length) throw new NotNow('This machine has no list of capacitors.')
  const { modelId, variant } = machine
  for (const assembly of new Set(all.map(one => one.assembly))) {
    const of = all.filter(one => one.assembly === assembly).map(({ place, spec, fixing, stressed, note }) => ({ place, spec, fixing, stressed, note }))
    tx.insert(knownBoards)
      .values({ modelId, variant, assembly, capacitors: of })
      .onConflictDoUpdate({ target: [knownBoards.modelId, knownBoards.variant, knownBoards.assembly], set: { capacitors: of } })
      .run()
  }
  write('capacitors.kept', { of: issueNamed(machine.name, variant), count: all.length })
}

/** Takes over what is known of an issue of its model, for those of its boards that have no list yet. */
export function takeKnownCapacitors(work: MachineWork, { variant }: CommandInput<'take-known-capacitors'>): void {
  const { tx, machine } = work
  const listed = new Set(ofMachine(work).map(one => one.assembly))
  const boards = (
    machine.modelId === null
      ? []
      : tx
          .select()
          .from(knownBoards)
          .where(and(eq(knownBoards.modelId, machine.modelId), eq(knownBoards.variant, variant)))
          .orderBy(asc(knownBoards.id))
          .all()
  ).filter(board => !listed.has(board.assembly))
  if (!boards.length) throw new NotNow('Nothing is known of that issue that is not on its list already.')
  for (const { assembly, capacitors: known } of boards) {
    list(work, assembly, known, 'variant')
    work.write('capacitors.listed', { assembly, count: known.length, fromTag: null, known: issueNamed(machine.name, variant) })
  }
}

const capacitorOf = (work: MachineWork, { capacitorId, version }: { capacitorId: number; version: number }, ...fields: string[]): Row => {
  const row = rowOf(work, capacitors, capacitorId, 'capacitor')
  expectVersion(work, row, version, row.version, fields)
  return row
}
const change = (work: MachineWork, row: Row, set: Partial<Row>) =>
  void work.tx
    .update(capacitors)
    .set({ ...set, version: row.version + 1 })
    .where(eq(capacitors.id, row.id))
    .run()

export function changeCapacitor(work: MachineWork, { capacitorId, version, spec, ...typed }: CommandInput<'change-capacitor'>): void {
  const row = capacitorOf(work, { capacitorId, version }, ...Capacitor.names)
  const read = { ...typed, spec: readSpec('capacitor', spec, 'spec') }
  const there = ofMachine(work).find(one => one.id !== row.id && one.assembly === read.assembly && one.place === read.place)
  if (there) throw new InputError('place', read.place, `${read.place}: listed on ${read.assembly} already.`)
  change(work, row, read)
  work.write('capacitor.changed', read)
}

export function measureCapacitor(
  work: MachineWork,
  { capacitorId, version, capacitanceF, esrOhm, leakageA, atV, reformed, inCircuit }: CommandInput<'measure-capacitor'>,
): void {
  const row = capacitorOf(work, { capacitorId, version }, 'measured', 'state')
  if (row.state === 'fitted') throw new NotNow(`${row.place} has been changed. What is measured of the new one is said when it is fitted.`)
  const measured = {
    ...(capacitanceF === null ? {} : { capacitanceF }),
    ...(esrOhm === null ? {} : { esrOhm }),
    ...(leakageA === null ? {} : { leakageA }),
    ...(atV === null ? {} : { atV }),
    reformed,
    inCircuit,
  }
  const judged = judgeCapacitor(row.spec, measured)
  if (!judged) throw new InputError('capacitanceF', '', 'Capacitance: something has to be measured, the value, the series resistance or the leakage.')
  change(work, row, { measured })
  const { assembly, place } = row
  work.write('capacitor.measured', {
    assembly,
    place,
    capacitanceF,
    esrOhm,
    leakageA,
    atV,
    reformed,
    inCircuit,
    says: capacitorVerdicts[judged.verdict].toLowerCase(),
  })
}

/** Takes one out; how its plus lay is noted before. */
export function takeOutCapacitor(work: MachineWork, { capacitorId, version, plus, fixing, photographId, bagged }: CommandInput<'take-out-capacitor'>): void {
  const row = capacitorOf(work, { capacitorId, version }, 'state')
  if (row.state === 'out') throw new NotNow(`${row.place} is out already.`)
  if (isPolarised(row.spec) && !plus) throw new InputError('plus', plus, 'Where its plus was: say it before it is out, such as “towards C13” or “as printed”.')
  if (photographId !== null) photographOf(work, photographId)
  change(work, row, { state: 'out', plus, fixing, photographId, bagged })
  const { assembly, place, spec } = row
  work.write('capacitor.out', { assembly, place, spec, plus, fixing, bagged })
}

/** The one that was there is in its place again. */
export function putBackCapacitor(work: MachineWork, { capacitorId, version, reason }: CommandInput<'put-back-capacitor'>): void {
  const row = capacitorOf(work, { capacitorId, version }, 'state')
  if (row.state !== 'out') throw new NotNow(`${row.place} is not out.`)
  change(work, row, { state: 'in', bagged: false })
  work.write('capacitor.back', { assembly: row.assembly, place: row.place, reason })
}

/** Fits a new one in its place, with its polarity asked again. */
export function fitCapacitor(work: MachineWork, { capacitorId, version, polarityAsked, joints, heldId, note }: CommandInput<'fit-capacitor'>): void {
  const row = capacitorOf(work, { capacitorId, version }, 'state')
  if (row.state !== 'out')
    throw new NotNow(row.state === 'in' ? `${row.place} is still in. Note how it lies, and take it out first.` : `${row.place} has been changed already.`)
  const { assembly, place, spec } = row
  if (isPolarised(spec) && !polarityAsked)
    throw new InputError('polarityAsked', polarityAsked, `Its polarity: hold it against the note (plus ${row.plus}) once more, and say so.`)
  const part = heldId === null ? null : fitFromShelf(work, heldId, { name: 'capacitor', kind: 'capacitor', spec })
  change(work, row, { state: 'fitted' })
  work.write('capacitor.fitted', { assembly, place, part, polarityAsked, joints, note })
}

export function dropCapacitor(work: MachineWork, { capacitorId, version, reason }: CommandInput<'drop-capacitor'>): void {
  const row = capacitorOf(work, { capacitorId, version }, 'state')
  if (row.state === 'out') throw new NotNow(`${row.place} is out. Fit one there before it leaves the list.`)
  work.tx.delete(capacitors).where(eq(capacitors.id, row.id)).run()
  work.write('capacitor.dropped', { assembly: row.assembly, place: row.place, reason })
}

/** Keeps the prices of a supplier in the place of those there were; none at all, and they are kept no longer. */
export function setPrices({ tx, at, write }: Work, { supplier, postage, typed }: CommandInput<'set-prices'>): void {
  const { lines, wrong } = typed ? readPrices(typed) : { lines: [], wrong: [] }
  expectAllRead(wrong, 'typed')
  tx.delete(prices).where(eq(prices.supplier, supplier)).run()
  for (let from = 0; from < lines.length; from += 200)
    tx.insert(prices)
      .values(lines.slice(from, from + 200).map(line => ({ supplier, postage, setAt: at, ...line })))
      .run()
  write('prices.set', { supplier, lines: lines.length, postage })
}
