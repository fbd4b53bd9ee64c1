import { roleOf } from '#core/condition/assembly-roles'
import { judgeUnattended } from '#core/retest/unattended'
import type { ViewOf } from '#shared/chapters/index'
import { inArray } from 'drizzle-orm'
import type { ViewInput } from '../../kernel/file'
import { people } from '../people/index'
import { crewOf } from '../people/index'
import { repairersOf } from './carry-out'
import { testLinesOf } from './testing'

/** How it is built up, tested and soaked, whether it may be signed off, and the sign-off that stands. */
export function provingView({ tx, file, assessment }: ViewInput): ViewOf<'proving'> {
  const { signOff, signedOff, gateInForce } = assessment.known
  const standing = signedOff ? file.signOffs.at(-1) : undefined
  const buildUp = file.buildUps.findLast(b => b.endedAt === null)
  const sheet = file.testSheets.at(-1)
  const repairers = repairersOf(file, crewOf(tx))
  return {
    soaks: file.soaks.map(
      (
        { id, what, seenFailures, seenPasses, confidence, secondsAPass, passes, failures, startedAt, lastAt, endedAt, note, tallies, logSecret, logWords },
        i,
      ) => ({
        id,
        what,
        seenFailures,
        seenPasses,
        confidence,
        secondsAPass,
        passes,
        failures,
        startedAt,
        lastAt,
        endedAt,
        note,
        stands: assessment.known.soaks[i]?.stands ?? false,
        tallies,
        logWords,
        logged: logSecret !== '',
      }),
    ),
    unattended: judgeUnattended({
      gate: gateInForce,
      school: file.power.school ?? file.practice.school,
      filterReplaced: ['replaced', 'none-fitted'].includes(file.power.facts.filterCapacitors ?? ''),
    }),
    buildUp: buildUp ? { id: buildUp.id, version: buildUp.version, steps: buildUp.steps, looks: buildUp.looks } : null,
    railNames: assessment.known.rails.map(r => r.name),
    present: file.assemblies.filter(a => a.presence === 'present').map(({ name, role }) => ({ name, role: roleOf({ name, role }), said: role !== null })),
    testSheet: sheet ? { id: sheet.id, startedAt: sheet.startedAt, lines: sheet.lines, looks: sheet.looks } : null,
    testLines: testLinesOf(tx, file),
    repairers: repairers.length
      ? tx
          .select({ name: people.name })
          .from(people)
          .where(inArray(people.id, repairers))
          .all()
          .map(p => p.name)
      : [],
    signOff: { ...signOff, standing: standing ? { statement: standing.statement, by: standing.byWhom, at: standing.at, limits: standing.limits } : null },
  }
}
