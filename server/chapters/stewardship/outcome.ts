import { grades, presenceNames } from '#core/condition/grades'
import { chemistries } from '#core/power/battery'
import { judgeOutcome } from '#core/stewardship/outcome'
import type { ViewOf } from '#shared/chapters/index'
import { and, asc, eq, sum } from 'drizzle-orm'
import type { MachineFile } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { journal } from '../../kernel/trunk'
import { eveningJobs } from '../plan/index'
import { spentOn } from './carry-out'

type Outcome = ViewOf<'home'>['outcome']
const stateOf = ({ presence, grade }: { presence: keyof typeof presenceNames; grade: number | null }) =>
  grade === null ? presenceNames[presence].toLowerCase() : `grade ${grade}, ${grades[grade as 0]?.title.toLowerCase()}`

/** How each assembly was found first, from the history; its state now stands in its row. */
function foundFirst(tx: Tx, machineId: number): Map<string, string> {
  const told = tx
    .select({ data: journal.data })
    .from(journal)
    .where(and(eq(journal.machineId, machineId), eq(journal.kind, 'assembly.graded')))
    .orderBy(asc(journal.seq))
    .all()
  const first = new Map<string, string>()
  for (const { data } of told) {
    const { name, ...state } = JSON.parse(data) as { name: string; presence: keyof typeof presenceNames; grade: number | null }
    if (!first.has(name)) first.set(name, stateOf(state))
  }
  return first
}

/** Minutes that were noted: attempts on its faults, and jobs of evenings. */
function minutesOn(tx: Tx, { machine, faults }: MachineFile): number {
  const jobs = tx
    .select({ total: sum(eveningJobs.takenMinutes) })
    .from(eveningJobs)
    .where(eq(eveningJobs.machineId, machine.id))
    .get()
  return faults.flatMap(f => f.attempts).reduce((all, a) => all + (a.minutes ?? 0), 0) + Number(jobs?.total ?? 0)
}

/** As found and as released: condition, rails, photographs side by side, hours and money against what was estimated. */
export function outcomeOf(tx: Tx, file: MachineFile): Outcome {
  const { machine, appraisal, practice } = file
  const first = foundFirst(tx, machine.id)
  const rails = [...new Set(file.readings.map(r => r.rail))].map(name => {
    const read = file.readings.filter(r => r.rail === name)
    return { name, first: read[0]!.valueV, last: read.at(-1)!.valueV }
  })
  const photographs = file.assemblies.flatMap(a => {
    const of = file.photographs.filter(p => p.assemblyId === a.id)
    const [found, now] = [of[0], of.at(-1)]
    const side = ({ hash, id, caption, name, at }: (typeof of)[number]) => ({ hash, id, caption: caption || name, at })
    return found && now && found !== now ? [{ assembly: a.name, found: side(found), now: side(now) }] : []
  })
  const counted = {
    faults: { closed: file.faults.filter(f => !f.open).length, open: file.faults.filter(f => f.open).length },
    hours: { worked: minutesOn(tx, file) / 60, low: appraisal?.hoursLow ?? null, high: appraisal?.hoursHigh ?? null },
    money: { spent: spentOn({ tx, machine }), low: appraisal?.costLow ?? null, high: appraisal?.costHigh ?? null, currency: practice.currency },
  }
  return {
    assemblies: file.assemblies.map(a => ({ name: a.name, found: first.get(a.name) ?? 'not looked at', now: stateOf(a) })),
    rails,
    photographs,
    ...counted,
    findings: judgeOutcome(counted),
  }
}

/** What was done to it, as the label inside and the closing letter say. */
export const doneTo = ({ patches, batteries, power, partNeeds, faults }: MachineFile): ViewOf<'home'>['done'] => ({
  replaced: [
    ...partNeeds.filter(p => p.outcome === 'fitted').map(p => `${p.quantity} × ${p.name}`),
    ...faults.flatMap(f =>
      f.repairs.filter(r => r.closes).map(r => [r.did, r.part && `${r.part}${r.partFrom && `, from ${r.partFrom}`}`].filter(Boolean).join('; ')),
    ),
    ...(power.facts.filterCapacitors === 'replaced' ? ['Line filter capacitors replaced'] : []),
    ...batteries.map(
      b =>
        `Battery ${chemistries[b.chemistry]?.title ?? b.chemistry}${b.where && `, ${b.where}`}: ${b.fitted ? 'in' : b.replacement ? 'out, replaced' : 'out'}`,
    ),
  ],
  patches: patches.map(p => `${p.net}: ${p.a} to ${p.b}, ${Math.round(p.lengthMm)} mm`),
})
