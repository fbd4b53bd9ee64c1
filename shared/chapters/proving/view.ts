import { z } from 'zod'
import { assemblyRoleNames } from '#core/condition/assembly-roles'
import { buildUpOutcomes } from '#core/retest/build-up'
import { Finding } from '../../kernel/shapes'
import { LimitsShape, TestLineShape, TestLookShape } from './shapes'

const s = z.string()
const b = z.boolean()

const n = z.number()

export const view = z.object({
  soaks: z.array(
    z.object({
      id: n,
      what: s,
      seenFailures: n,
      seenPasses: n,
      confidence: n,
      secondsAPass: n.nullable(),
      passes: n,
      failures: n,
      startedAt: s,
      lastAt: s,
      endedAt: s.nullable(),
      note: s,
      /** Whether it stands against believing in a cure. */
      stands: b,
      tallies: z.array(z.object({ at: s, passes: n, failures: n })),
      /** How the lines of its program are read, as somebody said. */
      logWords: z.object({ pass: s, fail: s }).nullable(),
      /** A program may post to it. */
      logged: b,
    }),
  ),
  /** How long a soak may run with nobody beside it, by the practice here. */
  unattended: z.array(Finding),
  /** The build-up that goes on. */
  buildUp: z
    .object({
      id: n,
      version: n,
      steps: z.array(z.object({ adds: z.array(s), expect: s, misleads: s })),
      looks: z.array(z.object({ step: n, outcome: z.enum(buildUpOutcomes), seen: s, at: s, by: s })),
    })
    .nullable(),
  /** Rails that are expected, to be read at a step. */
  railNames: z.array(s),
  /** What it has, and what each is for: as somebody said, or by its name alone. */
  present: z.array(z.object({ name: s, role: z.enum(assemblyRoleNames), said: b })),
  testSheet: z.object({ id: n, startedAt: s, lines: z.array(TestLineShape), looks: z.array(TestLookShape) }).nullable(),
  /** What a new sheet would begin with. */
  testLines: z.object({ ofModel: b, lines: z.array(TestLineShape) }),
  /** Names of whoever repaired it: somebody else signs. */
  repairers: z.array(s),
  signOff: z.object({ allowed: b, findings: z.array(Finding), standing: z.object({ statement: s, by: s, at: s, limits: LimitsShape.nullable() }).nullable() }),
})
