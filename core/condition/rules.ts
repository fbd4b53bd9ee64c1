import { discipline } from '../kernel/discipline'
import { counted } from '../kernel/figure'
import { move, someOf } from '../kernel/move'
import { step } from '../kernel/step'
import type { DamageKind, Severity } from './damage'
import { type Visit, compareVisits } from './corrosion-growth'
import { type Presence, gradeAgainst, isAway } from './grades'
import { impliedChecks } from './implied-checks'
import type { InterventionKind, InterventionState } from './interventions'

/** What was seen of a machine while looking at it. */
export interface ConditionRecord {
  assemblies: readonly { id: number; name: string; presence: Presence; grade: number | null }[]
  damages: readonly { kind: DamageKind; severity: Severity; where: string; assemblyId: number | null }[]
  checksDone: readonly { code: string }[]
  /** Corrosion that was measured, oldest first; those of one name show one place. */
  corrosions: readonly (Visit & { what: string; assembly: string })[]
  /** With the instant at which each was recorded, in UTC. */
  interventions: readonly { kind: InterventionKind; state: InterventionState; where: string; at?: string }[]
}

export interface ConditionFacts {
  assemblies: { name: string; presence: Presence; grade: number | null }[]
  /** Checks that damage implies. */
  checks: { says: string; why: string; done: boolean }[]
  /** What somebody did before us and nobody understands yet. */
  interventionsOpen: number
  /** Corrosion that has grown since the visit before, beyond both errors. */
  growing: { what: string; says: string }[]
  /** Assemblies whose grade cannot stand beside the damage marked on them. */
  gradedWrong: { name: string; why: string }[]
}

/** An assembly is done once it was found missing, or found present and graded. */
export const lookedAt = (a: ConditionFacts['assemblies'][number]) => isAway(a.presence) || (a.presence === 'present' && a.grade !== null)

/** Damage with the name of its assembly; empty where it belongs to the machine as a whole. */
export const damagesNamed = ({ assemblies, damages }: Pick<ConditionRecord, 'assemblies' | 'damages'>) =>
  damages.map(({ kind, severity, where, assemblyId }) => ({ kind, severity, where, assembly: assemblies.find(a => a.id === assemblyId)?.name ?? '' }))

/** The checks that the damage of one machine implies. */
export const checksOf = (record: Pick<ConditionRecord, 'assemblies' | 'damages'>) => impliedChecks(damagesNamed(record))

const conditionFacts = (record: ConditionRecord): ConditionFacts => ({
  assemblies: record.assemblies.map(({ name, presence, grade }) => ({ name, presence, grade })),
  checks: checksOf(record).map(({ code, says, why }) => ({ says, why, done: record.checksDone.some(c => c.code === code) })),
  interventionsOpen: record.interventions.filter(i => i.state === 'not-understood').length,
  growing: growingOf(record.corrosions),
  gradedWrong: record.assemblies.flatMap(a => {
    const why = gradeAgainst(
      a.grade,
      record.damages.filter(d => d.assemblyId === a.id),
    )
    return why ? [{ name: a.name, why }] : []
  }),
})

/** The newest measurement of each place against the one before. */
function growingOf(corrosions: ConditionRecord['corrosions']): ConditionFacts['growing'] {
  return [...new Set(corrosions.map(c => c.what))].flatMap(what => {
    const [before, after] = corrosions.filter(c => c.what === what).slice(-2)
    const growth = before && after && compareVisits(before, after)
    return growth?.grows ? [{ what: [after!.assembly, what].filter(Boolean).join(', '), says: growth.findings[0]!.says }] : []
  })
}

declare module '../kernel/machine' {
  interface MachineRecord extends ConditionRecord {}
  interface MachineKnown extends ConditionFacts {}
}

/** Looking is done once every assembly is graded or found missing, and every check that damage asks for was made. */
export const condition = discipline({
  name: 'condition',
  about: 'its condition',
  facts: conditionFacts,
  unknown: { assemblies: [], checks: [], interventionsOpen: 0, growing: [], gradedWrong: [] },
  steps: { look: m => [...m.assemblies.map(a => step(a.name, lookedAt(a))), ...m.checks.map(c => step(c.says, c.done))] },
  moves: m => {
    const unseen = m.assemblies.filter(a => !lookedAt(a)).map(a => a.name)
    const open = m.checks.filter(c => !c.done)
    return [
      ...m.growing.map(g => move('harm', 'corrosion-grows', 'look', { says: `Stop what feeds the corrosion: ${g.what}`, why: g.says })),
      ...m.gradedWrong.map(g => move('look', 'grade-again', 'look', { says: `Grade again: ${g.name}`, why: g.why })),
      ...(unseen.length
        ? [
            move('look', 'look', 'look', {
              says: `Look at: ${someOf(unseen)}`,
              why: `${unseen.length} of ${m.assemblies.length} assemblies have no grade yet.`,
            }),
          ]
        : []),
      ...(open.length
        ? [
            move('checks', 'checks', 'look', {
              says: open.length === 1 ? open[0]!.says : `${open[0]!.says}, and ${counted(open.length - 1, 'more check')}`,
              why: open[0]!.why,
            }),
          ]
        : []),
      ...(m.interventionsOpen
        ? [
            move('before-us', 'interventions', 'look', {
              says: `Understand what was done to it before: ${m.interventionsOpen}`,
              why: 'Nothing of it is undone before somebody knows why it was done.',
            }),
          ]
        : []),
    ]
  },
})
