import type { LetterView } from '#shared/chapters/stewardship/index'
import { isOurs } from '#shared/kernel/acquisitions'
import { triageInput } from './triage-input'
import { v7 as uuidv7 } from 'uuid'
import { damageKinds } from '#core/condition/damage'
import { grades, presenceNames } from '#core/condition/grades'
import { paths, triage } from '#core/condition/triage'
import { InputError } from '#core/kernel/input-error'
import type { Finding } from '#core/kernel/finding'
import { type WorkAsked, judgeSpending, mustAskBefore, questionOf, worksAsked } from '#core/stewardship/consent'
import { limitWords } from '#core/retest/sign-off'
import { closingLetter, letterToOwner } from '#core/stewardship/letter'
import { doneTo, outcomeOf } from './outcome'
import type { CommandInput } from '#shared/chapters/index'
import { Agreement, Appraisal } from '#shared/chapters/stewardship/index'
import { and, eq, inArray, isNull, sum } from 'drizzle-orm'
import { assembled } from '../../kernel/assembled'
import type { Tx } from '../../kernel/history/journal'
import { NotFound, NotNow, Refusal } from '../../kernel/refusals'
import { machines } from '../../kernel/trunk'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork } from '../../kernel/work'
import { photographs } from '../look/index'
import { crewOf } from '../people/index'
import { practiceOf } from '../practice/index'
import { startWait } from '../waits/index'
import { appraisals, consentExceptions, consents, letters, spendings } from './schema'

/** What has been spent on a machine so far, in the currency of the collection: what was noted, and what its parts cost. */
export const spentOn = ({ tx, machine }: Pick<MachineWork, 'tx' | 'machine'>): number =>
  assembled().costs(tx, machine.id) +
  Number(
    tx
      .select({ total: sum(spendings.amount) })
      .from(spendings)
      .where(and(eq(spendings.machineId, machine.id), isNull(spendings.struckBy)))
      .get()?.total ?? 0,
  )

export function recordConsent(work: MachineWork, { version, ...agreed }: CommandInput<'record-consent'>): void {
  const { tx, machine, write } = work
  if (isOurs(machine)) throw new NotNow('It is the collection’s own; nobody else has to agree. Correct how it came if that is wrong.')
  const before = tx.select().from(consents).where(eq(consents.machineId, machine.id)).get()
  expectVersion(work, before ?? {}, version, before?.version ?? 0, Agreement.names)
  tx.insert(consents)
    .values({ machineId: machine.id, ...agreed, version: 1 })
    .onConflictDoUpdate({ target: consents.machineId, set: { ...agreed, version: version + 1 } })
    .run()
  tx.delete(consentExceptions).where(eq(consentExceptions.machineId, machine.id)).run()
  write('consent.recorded', { ...agreed, currency: practiceOf(tx).currency })
}

/** Its owner has to be asked first; says what, and what a letter would ask. */
export class AskOwner extends Refusal {
  readonly status = 409
  readonly code = 'ask-owner'
  constructor(
    readonly work: WorkAsked,
    readonly owner: string,
    says: string,
    readonly because: string[],
  ) {
    super(says)
  }
  override details() {
    const { work, owner, because } = this
    return { because, work, owner, question: questionOf[work] }
  }
}

/** What stands against doing something to a machine that is not ours; nothing where its owner agreed, or a coordinator decided otherwise. */
export function consentAgainst({ tx, machine }: Pick<MachineWork, 'tx' | 'machine'>, asked: WorkAsked): Finding | null {
  const consent = tx.select().from(consents).where(eq(consents.machineId, machine.id)).get() ?? null
  const [against] = mustAskBefore(asked, isOurs(machine), consent)
  if (!against) return null
  const passedOver = tx
    .select({ id: consentExceptions.id })
    .from(consentExceptions)
    .where(and(eq(consentExceptions.machineId, machine.id), eq(consentExceptions.work, asked)))
  return passedOver.get() ? null : against
}

/** How much more may be spent on a machine that is not ours, by what its owner agreed to; nothing where nobody set a limit. */
export function leftToSpend(tx: Tx, machine: MachineWork['machine']): number | null {
  if (isOurs(machine)) return null
  const consent = tx.select().from(consents).where(eq(consents.machineId, machine.id)).get()
  return (consent?.upTo ?? 0) - spentOn({ tx, machine })
}

/** What consent speaks of is asked where it happens. @throws AskOwner with what a letter would ask, and who may decide otherwise */
export function expectConsent(work: Pick<MachineWork, 'tx' | 'machine'>, asked: WorkAsked): void {
  const against = consentAgainst(work, asked)
  if (!against) return
  const { tx, machine } = work
  const deciders = crewOf(tx)
    .filter(p => p.role === 'coordinator')
    .map(p => p.name)
  throw new AskOwner(
    asked,
    machine.owner,
    `Ask ${machine.owner || 'its owner'} first: ${worksAsked[asked].charAt(0).toLowerCase()}${worksAsked[asked].slice(1)}.`,
    [...against.because, `Under Arrive a letter asks for it, and its answer is waited for. ${deciders.join(', ')} may decide otherwise there, with a reason.`],
  )
}

/** Does something without asking its owner. */
export function passOverConsent({ tx, machine, at, person, write }: MachineWork, { work, reason }: CommandInput<'pass-over-consent'>): void {
  if (isOurs(machine)) throw new NotNow('It is the collection’s own; there is nobody to ask.')
  tx.insert(consentExceptions).values({ machineId: machine.id, work, reason, at, by: person.name }).run()
  write('consent.passed-over', { work, reason })
}

/** @throws NotNow where that much more is beyond what its owner agreed to */
export function expectMoney({ tx, machine }: Pick<MachineWork, 'tx' | 'machine'>, amount: number): void {
  const consent = tx.select().from(consents).where(eq(consents.machineId, machine.id)).get() ?? null
  const judged = judgeSpending({ ours: isOurs(machine), consent, spentSoFar: spentOn({ tx, machine }), amount, currency: practiceOf(tx).currency })
  const against = judged.find(f => f.level === 'stop')
  if (against) throw new NotNow(against.says, against.because)
}

/** Spends money on a machine. @throws NotNow beyond what its owner agreed to */
export function recordSpending(work: MachineWork, { what, amount }: CommandInput<'record-spending'>): void {
  const { tx, machine, at, write } = work
  const { currency } = practiceOf(tx)
  expectMoney(work, amount)
  const { id } = tx.insert(spendings).values({ machineId: machine.id, what, amount, at }).returning().get()
  write('money.spent', { what, amount, currency }, { subject: { table: 'spendings', id } })
}

export function appraise(work: MachineWork, { version, ...found }: CommandInput<'appraise'>): void {
  const { tx, machine, write } = work
  const before = tx.select().from(appraisals).where(eq(appraisals.machineId, machine.id)).get()
  expectVersion(work, before ?? {}, version, before?.version ?? 0, Appraisal.names)
  tx.insert(appraisals)
    .values({ machineId: machine.id, ...found, version: 1 })
    .onConflictDoUpdate({ target: appraisals.machineId, set: { ...found, version: version + 1 } })
    .run()
  const { hoursLow, hoursHigh, costLow, costHigh } = found
  write('machine.appraised', { hoursLow, hoursHigh, costLow, costHigh, currency: practiceOf(tx).currency })
}

/** Chooses a path. @throws NotNow before it was appraised, or while its owner has to be asked */
export function choosePath(work: MachineWork, { path, reason }: CommandInput<'choose-path'>): void {
  const { tx, machine, write } = work
  const input = triageInput(work.file())
  if (!input) throw new NotNow('Appraise it first: what it means, and what it would take.')
  const ranked = triage(input).paths.find(p => p.path === path)
  if (!ranked) throw new InputError('path', path, `Path: ${paths[path].title.toLowerCase()} does not go with whose it is.`)
  const stops = ranked.findings.filter(f => f.level === 'stop')
  if (stops.length)
    throw new NotNow(
      `${paths[path].title}: its owner has to agree first.`,
      stops.map(f => f.says),
    )
  tx.update(appraisals).set({ path, pathReason: reason }).where(eq(appraisals.machineId, machine.id)).run()
  write('path.chosen', { path, reason })
}

/** Writes to the owner: the letter is kept, laid into the outbox afterwards, and its answer waited for. */
export function writeToOwner(work: MachineWork, { questions, photographIds, to, answerBy }: CommandInput<'write-to-owner'>): { letterId: number } {
  const { tx, machine, person, at, write } = work
  if (isOurs(machine)) throw new NotNow('It is the collection’s own; there is no owner to write to.')
  const enclosed = photographIds.length
    ? tx
        .select()
        .from(photographs)
        .where(and(eq(photographs.machineId, machine.id), inArray(photographs.id, photographIds), isNull(photographs.struckBy)))
        .all()
    : []
  if (enclosed.length !== new Set(photographIds).size)
    throw new InputError('photographIds', photographIds, 'A photograph to enclose is not there any more. Choose again.')
  const file = work.file()
  const practice = practiceOf(tx)
  const { appraisal, consent } = file
  const input = triageInput(file)
  const best = input && triage(input).paths.find(p => p.path === appraisal?.path || !appraisal?.path)
  const letter = letterToOwner({
    collection: practice.name,
    currency: practice.currency,
    owner: machine.owner,
    machine: machine.nickname ? `${machine.name}, “${machine.nickname}”` : machine.name,
    tag: machine.tag,
    writtenBy: person.name,
    assemblies: file.assemblies.map(a => ({
      name: a.name,
      found: a.grade === null ? presenceNames[a.presence].toLowerCase() : `${grades[a.grade as 0].title.toLowerCase()}, grade ${a.grade} of 0 to 3`,
      note: a.note,
    })),
    damages: file.damages.map(
      d =>
        `${damageKinds[d.kind]}, ${d.severity}: ${[file.assemblies.find(a => a.id === d.assemblyId)?.name.toLowerCase(), d.where, d.extent].filter(Boolean).join(', ')}`,
    ),
    path: best ? { title: best.title, because: best.terms.filter(t => t.weight > 0).map(t => t.says) } : null,
    estimate: appraisal && { hoursLow: appraisal.hoursLow, hoursHigh: appraisal.hoursHigh, costLow: appraisal.costLow, costHigh: appraisal.costHigh },
    spentSoFar: spentOn(work),
    agreedUpTo: consent?.upTo ?? null,
    questions,
    photographs: enclosed.length,
  })
  const { id } = tx
    .insert(letters)
    .values({ uid: uuidv7(), machineId: machine.id, letter, to, photographIds: enclosed.map(p => p.id), at, byWhom: person.name })
    .returning()
    .get()
  write('owner.written-to', { owner: machine.owner, questions })
  startWait(work, { what: `answer from ${machine.owner}`, until: answerBy, kind: 'owner' })
  return { letterId: id }
}

/** What of the work is not finished, as a letter names it. */
function openOf(work: MachineWork): string[] {
  const { buildUp, testSheet, waits, soaks, fixingsMissing, stepsUndone, bookings } = work.assess().known
  return [
    ...(buildUp && !buildUp.done ? [`It is being built up step by step. ${buildUp.says}`.trim()] : []),
    ...(testSheet && !testSheet.done ? [`Tested in part: ${[...testSheet.failed, ...testSheet.left].slice(0, 6).join(', ')} are open.`] : []),
    ...soaks.filter(s => s.stands).map(s => `A soak was not passed: ${s.what}.`),
    ...(stepsUndone ? [`${stepsUndone} ${stepsUndone === 1 ? 'step' : 'steps'} of putting it together.`] : []),
    ...fixingsMissing.map(f => f.says),
    ...waits.filter(w => !w.over).map(w => `Waiting: ${w.what}.`),
    ...bookings.map(b => `${b.what} lies in the ${b.where}.`),
  ]
}

/** Writes to the owner how it came and how it goes; laid into the outbox afterwards like any letter. */
export function writeClosingLetter(work: MachineWork, { released, to }: CommandInput<'write-closing-letter'>): { letterId: number } {
  const { tx, machine, person, at, write } = work
  const file = work.file()
  const { practice } = file
  const outcome = outcomeOf(tx, file)
  const { patches, replaced } = doneTo(file)
  const signOff = file.signOffs.at(-1)
  const letter = closingLetter({
    collection: practice.name,
    owner: isOurs(machine) ? machine.owner || 'friend of the collection' : machine.owner,
    machine: machine.nickname ? `${machine.name}, “${machine.nickname}”` : machine.name,
    tag: machine.tag,
    writtenBy: person.name,
    released,
    parts: outcome.assemblies,
    replaced: [...replaced, ...patches.map(p => `Wire ${p}`)],
    kept: file.bags.filter(b => b.ended === null).map(b => `${b.part}, in ${b.bag}`),
    tested: signOff ? [`${signOff.statement} (${signOff.at.slice(0, 10)})`] : ['It was not signed off as tested.'],
    limits: signOff?.limits ? limitWords(signOff.limits) : '',
    open: openOf(work),
    odd: [...file.faults.filter(f => f.open).map(f => f.symptom), ...file.questions.filter(q => !q.settledAt).map(q => q.question)],
    hoursWorked: outcome.hours.worked,
    spent: outcome.money.spent,
    agreedUpTo: file.consent?.upTo ?? null,
    currency: practice.currency,
  })
  const { id } = tx.insert(letters).values({ uid: uuidv7(), machineId: machine.id, letter, to, photographIds: [], at, byWhom: person.name }).returning().get()
  write('owner.closed', { owner: machine.owner })
  return { letterId: id }
}

/** A letter as it was written. @throws NotFound */
export function letterOf(tx: Tx, id: number): LetterView {
  const row = tx.select().from(letters).innerJoin(machines, eq(machines.id, letters.machineId)).where(eq(letters.id, id)).get()
  if (!row) throw new NotFound('There is no such letter.')
  const { letter, at, photographIds, uid } = row.letters
  const enclosed = photographIds.length
    ? tx
        .select({ hash: photographs.hash, caption: photographs.caption, name: photographs.name })
        .from(photographs)
        .where(inArray(photographs.id, photographIds))
        .all()
    : []
  return {
    uid,
    tag: row.machines.tag,
    owner: row.machines.owner,
    at,
    ...letter,
    photographs: enclosed.map(p => ({ hash: p.hash, caption: p.caption || p.name })),
  }
}
