import { whiteningWords, forecastWhitening } from '#core/cleaning/whitening-forecast'
import { dryingWords } from '#core/cleaning/drying'
import { judgeSeries } from '#core/cleaning/rules'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/chapters/index'
import { eq } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import type { MachineWork } from '../../kernel/work'
import { coloursOf, facts } from './facts'
import { dryings, weighings, whiteningColours, whiteningExposures, whitenings } from './schema'

/** What is followed by measuring: drying by its mass, whitening by its colour. */

export function startDrying({ tx, machine, at, write, file }: MachineWork, { massG, ...drying }: CommandInput<'start-drying'>): void {
  if (file().dryings.some(d => d.what === drying.what && !d.endedAt))
    throw new InputError('what', drying.what, `What dries: ${drying.what} is laid out already.`)
  const { id } = tx
    .insert(dryings)
    .values({ machineId: machine.id, startedAt: at, ...drying })
    .returning()
    .get()
  tx.insert(weighings).values({ machineId: machine.id, dryingId: id, massG, at }).run()
  write('drying.started', { what: drying.what, massG })
}

function runningDrying({ machine, file }: MachineWork, dryingId: number) {
  const kept = file()
  const at = kept.dryings.findIndex(d => d.id === dryingId)
  const row = kept.dryings[at]
  if (!row) throw new NotFound(`${machine.tag} has nothing of that kind laid out.`)
  if (row.endedAt) throw new NotNow('It has been taken up already.')
  return facts(kept).dryings[at]!
}

/** A weighing, of now or of an earlier hour. @throws InputError for one that has not come yet, or lies before another that is kept */
export function weigh(work: MachineWork, { dryingId, massG, weighedAt }: CommandInput<'weigh'>): void {
  const { tx, machine, write } = work
  const drying = runningDrying(work, dryingId)
  const newest = drying.weighings.reduce((latest, w) => (w.at > latest ? w.at : latest), drying.startedAt)
  if (weighedAt && weighedAt > work.at)
    throw new InputError('weighedAt', weighedAt, 'Weighed at: that has not come yet. Give the time when it lay on the scales.')
  if (weighedAt && weighedAt <= newest)
    throw new InputError('weighedAt', weighedAt, 'Weighed at: a later weighing is on record already. Give a time after it, or strike that one first.')
  const at = weighedAt ?? work.at
  const { state } = judgeSeries({ ...drying, weighings: [...drying.weighings, { at, massG }] }, work.at)
  const { id } = tx.insert(weighings).values({ machineId: machine.id, dryingId, massG, at }).returning().get()
  write('drying.weighed', { what: drying.what, massG, says: `${dryingWords[state]}.`, weighedAt }, { subject: { table: 'weighings', id } })
}

/** Taken up: freely once it is dry by its mass, before that with a reason that the gate remembers. */
export function endDrying(work: MachineWork, { dryingId, reason }: CommandInput<'end-drying'>): void {
  const { tx, at, write } = work
  const drying = runningDrying(work, dryingId)
  const { state, findings } = judgeSeries(drying, at)
  const dry = state === 'dry'
  if (!dry && reason.length < 5)
    throw new InputError('reason', reason, `It is not dry by its mass: ${findings[0]?.says ?? ''} Say why it is taken up all the same; the gate remembers it.`)
  tx.update(dryings)
    .set({ endedAt: at, endedWet: dry ? '' : reason })
    .where(eq(dryings.id, dryingId))
    .run()
  write('drying.ended', { what: drying.what, reason: dry ? '' : reason })
}

export function followWhitening({ tx, machine, at, write }: MachineWork, { first, ...part }: CommandInput<'follow-whitening'>): void {
  const { id } = tx
    .insert(whitenings)
    .values({ machineId: machine.id, ...part })
    .returning()
    .get()
  tx.insert(whiteningColours)
    .values({ machineId: machine.id, whiteningId: id, at, ...first })
    .run()
  write('whitening.followed', { name: part.name, goalB: part.goalB, l: first.l, a: first.a, b: first.b })
}

function whiteningOf({ machine, file }: MachineWork, whiteningId: number) {
  const found = file().whitenings.find(w => w.id === whiteningId)
  if (!found) throw new NotFound(`${machine.tag} has no such part.`)
  return found
}

/** A colour: during the treatment it is judged, after its end it stands beside the end as what came back. */
export function measureColour(work: MachineWork, { whiteningId, ...colour }: CommandInput<'measure-colour'>): void {
  const { tx, machine, at, write, file } = work
  const part = whiteningOf(work, whiteningId)
  const { colours, hours } = coloursOf(file(), part)
  const says = part.endedAt
    ? `Since its end b* has changed by ${(colour.b - (colours.findLast(c => c.at <= part.endedAt!)?.b ?? colour.b)).toFixed(1)}.`
    : `${whiteningWords[forecastWhitening({ reference: part.reference, measured: [...colours, { ...colour, hours }], goalB: part.goalB }).state]}.`
  const { id } = tx
    .insert(whiteningColours)
    .values({ machineId: machine.id, whiteningId, at, ...colour })
    .returning()
    .get()
  write('whitening.measured', { name: part.name, l: colour.l, a: colour.a, b: colour.b, hours, says }, { subject: { table: 'whiteningColours', id } })
}

/** An exposure; none once the colours say stop, for there is no way back. */
export function expose(work: MachineWork, { whiteningId, ...exposure }: CommandInput<'expose'>): void {
  const { tx, machine, at, write, file } = work
  const part = whiteningOf(work, whiteningId)
  if (part.endedAt) throw new NotNow('Its treatment has ended. Follow it again to treat it further.')
  const { colours, hours } = coloursOf(file(), part)
  const { state, findings } = forecastWhitening({ reference: part.reference, measured: colours, hoursNow: hours, goalB: part.goalB })
  if (state === 'overdone' || state === 'stop-done')
    throw new NotNow(
      `${whiteningWords[state]}.`,
      findings.map(f => f.says),
    )
  const { id } = tx
    .insert(whiteningExposures)
    .values({ machineId: machine.id, whiteningId, at, ...exposure })
    .returning()
    .get()
  write('whitening.exposed', { name: part.name, ...exposure }, { subject: { table: 'whiteningExposures', id } })
}

/** A day counts as its noon, so that a colour taken in the evening comes after it. */
const noonOf = (day: string) => `${day}T12:00:00.000Z`

/** Days in the sun, from a table: those that are not on record yet. None after the colours said stop. */
export function importExposures(work: MachineWork, { whiteningId, days }: CommandInput<'import-exposures'>): { days: number } {
  const { tx, machine, at, write, file } = work
  const part = whiteningOf(work, whiteningId)
  if (part.endedAt) throw new NotNow('Its treatment has ended. Follow it again to treat it further.')
  const { colours, exposures, hours } = coloursOf(file(), part)
  const fresh = days.filter(d => !exposures.some(e => e.how === 'sun' && e.at === noonOf(d.day)))
  if (!fresh.length) throw new NotNow('All of these days are on record already.')
  const first = colours[0]!.at.slice(0, 10)
  const outside = fresh.find(d => d.day < first || noonOf(d.day) > at)
  if (outside) throw new InputError('days', outside.day, `${outside.day} lies outside: from ${first}, when its first colour was measured, to today, please.`)
  if (new Set(fresh.map(d => d.day)).size < fresh.length) throw new InputError('days', null, 'A day stands in it twice.')
  const { state, findings } = forecastWhitening({ reference: part.reference, measured: colours, hoursNow: hours, goalB: part.goalB })
  const stopped = (state === 'overdone' || state === 'stop-done') && fresh.some(d => noonOf(d.day) > colours.at(-1)!.at)
  if (stopped)
    throw new NotNow(
      `${whiteningWords[state]}. Only days before its last colour can be taken in.`,
      findings.map(f => f.says),
    )
  for (const day of fresh)
    tx.insert(whiteningExposures)
      .values({ machineId: machine.id, whiteningId, at: noonOf(day.day), how: 'sun', hours: day.hours, note: 'from a table' })
      .run()
  const sorted = fresh.map(d => d.day).sort()
  write('whitening.sunned', { name: part.name, days: fresh.length, hours: fresh.reduce((sum, d) => sum + d.hours, 0), from: sorted[0]!, to: sorted.at(-1)! })
  return { days: fresh.length }
}

export function endWhitening(work: MachineWork, { whiteningId, outcome, relookOn }: CommandInput<'end-whitening'>): void {
  const { tx, at, write, file } = work
  const part = whiteningOf(work, whiteningId)
  if (part.endedAt) throw new NotNow('Its treatment has ended already.')
  if (relookOn && relookOn <= at.slice(0, 10)) throw new InputError('relookOn', relookOn, 'Look again on: a day to come, please.')
  const { tauHours } = forecastWhitening({ reference: part.reference, measured: coloursOf(file(), part).colours, goalB: part.goalB })
  tx.update(whitenings).set({ endedAt: at, outcome, relookOn, tauHours }).where(eq(whitenings.id, whiteningId)).run()
  write('whitening.ended', { name: part.name, outcome, relookOn })
}
