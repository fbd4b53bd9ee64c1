import { createHash, randomBytes } from 'node:crypto'
import { InputError } from '#core/kernel/input-error'
import { isHandiwork } from '#core/power/mended'
import { allowedWith, judgeSigner } from '#core/retest/sign-off'
import { planSoak } from '#core/retest/soak'
import { type CommandInput, may } from '#shared/chapters/index'
import { millisecondsInMinute } from 'date-fns/constants'
import { and, eq, isNull, ne } from 'drizzle-orm'
import type { MachineFile } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { NotFound, NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { machines } from '../../kernel/trunk'
import type { MachineWork } from '../../kernel/work'
import { crewOf, findPerson } from '../people/index'
import { signOffs, soaks } from './schema'

/** Signs a machine off as proved. @throws NotNow with every reason that stands against it */
export function signOff(work: MachineWork, { statement, limits }: CommandInput<'sign-off'>): void {
  const { tx, machine, at, person, write } = work
  const { signOff: judged } = work.assess().known
  const others = crewOf(tx).filter(p => p.id !== person.id && may(p.role, 'sign-off')).length
  const same = judgeSigner(person.id, repairersOf(work.file(), crewOf(tx)), others)
  const against = [...(allowedWith(judged, limits) ? [] : judged.findings), ...same].filter(f => f.level === 'stop')
  if (against.length)
    throw new NotNow(
      'It cannot be signed off yet.',
      against.map(f => f.says),
    )
  endSignOffs(work)
  tx.insert(signOffs).values({ machineId: machine.id, statement, limits, byWhom: person.name, at }).run()
  write('machine.signed-off', { statement, limits })
}

/** Whoever changed it with their own hands, by their keys: in a repair, or only to try. Repairs of former days say nobody. */
export const repairersOf = ({ faults }: MachineFile, crew: readonly { id: number; name: string }[]): number[] => {
  const named = (name: string) => crew.filter(p => p.name === name).map(p => p.id)
  return [...new Set(faults.flatMap(f => [...f.repairs.flatMap(r => r.byId ?? []), ...f.attempts.filter(a => isHandiwork(a.did)).flatMap(a => named(a.by))]))]
}

/** Ends the sign-off that stands, where one does, and writes why. */
export function endBecause(work: MachineWork, why: string): void {
  if (endSignOffs(work)) work.write('sign-off.ended', { why })
}

/** @returns how many sign-offs stood until now */
function endSignOffs({ tx, machine, at }: MachineWork): number {
  return tx
    .update(signOffs)
    .set({ endedAt: at })
    .where(and(eq(signOffs.machineId, machine.id), isNull(signOffs.endedAt)))
    .run().changes
}

function soakOf({ tx, machine }: MachineWork, soakId: number) {
  const soak = rowOf({ tx, machine }, soaks, soakId, 'soak')
  if (soak.endedAt) throw new NotNow('This soak has ended. Begin another.')
  return soak
}

/** Begins a soak; what was seen before says how many passes are wanted. @throws InputError for counts that rule nothing out */
export function beginSoak({ tx, machine, at, write }: MachineWork, { confidencePct, ...soak }: CommandInput<'begin-soak'>): { soakId: number } {
  const confidence = confidencePct / 100
  const { wantedPasses } = planSoak({ ...soak, confidence, secondsAPass: soak.secondsAPass ?? undefined })
  const { id } = tx
    .insert(soaks)
    .values({ machineId: machine.id, ...soak, confidence, startedAt: at })
    .returning({ id: soaks.id })
    .get()
  write('soak.begun', { what: soak.what, failures: soak.seenFailures, passes: soak.seenPasses, wanted: wantedPasses, confidencePct })
  return { soakId: id }
}

/** So many sums are kept for the chart. */
const mostTallies = 400

/** Passes that have ended since the last tally. */
export function tallySoak(work: MachineWork, { soakId, passes, failures }: CommandInput<'tally-soak'>): void {
  const soak = soakOf(work, soakId)
  if (failures > passes) throw new InputError('failures', failures, `Of them failed: no more than the ${passes} passes.`)
  const now = { passes: soak.passes + passes, failures: soak.failures + failures }
  work.tx
    .update(soaks)
    .set({ ...now, lastAt: work.at, tallies: thinned([...soak.tallies, { at: work.at, ...now }]) })
    .where(eq(soaks.id, soakId))
    .run()
  const { verdict } = planSoak({ ...soak, secondsAPass: undefined, ...now })
  work.write('soak.tallied', { what: soak.what, passes, failures, all: now.passes, allFailures: now.failures, verdict })
}

/** So long after it a tally may be thought better of; later a failure that was seen is a failure. */
const thoughtBetterOfMs = 2 * millisecondsInMinute

/** Takes the newest tally back, as long as nothing was tallied since. @throws NotNow once there is something newer, or it is too long ago */
export function untallySoak(work: MachineWork, { soakId, passes, failures }: CommandInput<'untally-soak'>): void {
  const soak = soakOf(work, soakId)
  const [newest, before = { passes: 0, failures: 0 }] = soak.tallies.toReversed()
  if (newest?.passes !== before.passes + passes || newest.failures !== before.failures + failures)
    throw new NotNow('Something else has been tallied since. Add what is missing, or end this soak and begin another.')
  if (Date.parse(work.at) - Date.parse(newest.at) > thoughtBetterOfMs)
    throw new NotNow('That was more than two minutes ago. What was counted wrongly ends the soak: end it and begin another.')
  const tallies = soak.tallies.slice(0, -1)
  work.tx
    .update(soaks)
    .set({ passes: before.passes, failures: before.failures, lastAt: tallies.at(-1)?.at ?? soak.startedAt, tallies })
    .where(eq(soaks.id, soakId))
    .run()
  work.write('soak.untallied', { what: soak.what, passes, failures, all: before.passes, allFailures: before.failures })
}

/** Every second one of the older half goes, where there are too many; failures keep theirs. */
const thinned = (tallies: { at: string; passes: number; failures: number }[]) =>
  tallies.length <= mostTallies ? tallies : tallies.filter((t, i) => i % 2 === 0 || i > tallies.length / 2 || t.failures !== tallies[i - 1]?.failures)

/** Opens a soak for a program that posts passes. @returns the secret, once; only its hash is kept */
export function openSoakLog(work: MachineWork, { soakId }: CommandInput<'open-soak-log'>): { secret: string } {
  const soak = soakOf(work, soakId)
  const secret = randomBytes(24).toString('base64url')
  work.tx
    .update(soaks)
    .set({ logSecret: hashOf(secret), logPersonId: work.person.id })
    .where(eq(soaks.id, soakId))
    .run()
  work.write('soak.log-opened', { what: soak.what })
  return { secret }
}

/** How the lines of its program are read from now on. */
export function saySoakLog(work: MachineWork, { soakId, words }: CommandInput<'say-soak-log'>): void {
  const soak = soakOf(work, soakId)
  work.tx.update(soaks).set({ logWords: words }).where(eq(soaks.id, soakId)).run()
  work.write('soak.log-said', { what: soak.what, words })
}

const hashOf = (secret: string) => createHash('sha256').update(secret).digest('hex')

/** The soak that a secret opens, with its machine and in whose name it is tallied. @throws NotFound also where it has ended */
export function soakBySecret(tx: Tx, secret: string) {
  const found = tx
    .select({ soakId: soaks.id, tag: machines.tag, personId: soaks.logPersonId, endedAt: soaks.endedAt, words: soaks.logWords })
    .from(soaks)
    .innerJoin(machines, eq(machines.id, soaks.machineId))
    .where(and(eq(soaks.logSecret, hashOf(secret)), ne(soaks.logSecret, '')))
    .get()
  const person = found?.personId ? findPerson(tx, found.personId) : undefined
  if (!found || found.endedAt || !person?.active || !may(person.role, 'tally-soak')) throw new NotFound('No soak is open under this secret.')
  return { soakId: found.soakId, tag: found.tag, words: found.words, person }
}

export function endSoak(work: MachineWork, { soakId, note }: CommandInput<'end-soak'>): void {
  const soak = soakOf(work, soakId)
  const { verdict } = planSoak({ ...soak, secondsAPass: undefined })
  if (verdict === 'go-on' && note.length < 5) throw new InputError('note', note, 'Why it ends: it is not decided yet. Say why it is given up.')
  work.tx.update(soaks).set({ endedAt: work.at, note }).where(eq(soaks.id, soakId)).run()
  work.write('soak.ended', { what: soak.what, passes: soak.passes, failures: soak.failures, verdict, note })
}
