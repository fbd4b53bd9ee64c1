import { z } from 'zod'
import { contaminationKinds, contaminationSteps } from '#core/cleaning/contamination'
import { dryingStates } from '#core/cleaning/drying'
import { stepKinds } from '#core/cleaning/plan'
import { boardSchools, materials, methods, plasticSchools, soils, workings } from '#core/cleaning/words'
import { cautions } from '#core/safety/cautions'
import { keysOf } from '../../kernel/fields'
import { Band, Finding, MeasuredColour } from '../../kernel/shapes'
import { exposureKinds, sealants } from './words'

const id = z.number()
const n = z.number()
const s = z.string()
const b = z.boolean()
const made = { materials: z.array(z.enum(keysOf(materials))), soils: z.array(z.enum(keysOf(soils))) }

export const view = z.object({
  cleanings: z.array(z.object({ id, what: s, withWhat: s, byWhom: s, at: s })),
  cleaning: z.object({
    schools: z.object({ boards: z.enum(keysOf(boardSchools)), plastic: z.enum(keysOf(plasticSchools)) }),
    ownSchools: z.object({ boards: z.enum(keysOf(boardSchools)).nullable(), plastic: z.enum(keysOf(plasticSchools)).nullable() }),
    parts: z.array(z.object({ id, version: n, name: s, ...made, works: z.enum(keysOf(workings)), socketed: b })),
    /** Assemblies that nobody has said anything of yet, with what their names and damage point to. */
    guesses: z.array(z.object({ name: s, ...made })),
    steps: z.array(
      z.object({
        id,
        version: n,
        part: s,
        kind: z.enum(stepKinds),
        method: z.enum(keysOf(methods)).nullable(),
        says: s,
        why: s,
        minutes: n,
        cautions: z.array(z.enum(keysOf(cautions))),
        waitWhat: s,
        waitHours: n.nullable(),
        personId: n.nullable(),
        state: z.enum(['open', 'done', 'left']),
        note: s,
        doneBy: s,
        at: s,
      }),
    ),
    /** Batteries whose residue is recorded as neutralised: a step of the plan may have been that. */
    neutralisedBatteries: z.array(s),
    findings: z.array(Finding),
    sisters: z.array(z.object({ tag: s, name: s, parts: n })),
    contaminations: z.array(
      z.object({
        id,
        version: n,
        kind: z.enum(keysOf(contaminationKinds)),
        where: s,
        says: s,
        state: z.enum(['present', ...contaminationSteps]),
        at: s,
        next: z.object({ step: z.enum(contaminationSteps), do: s }).nullable(),
        looks: z.array(s),
      }),
    ),
    wet: z.array(s),
    coppers: z.array(z.object({ id, version: n, where: s, at: s, sealedAt: s.nullable(), sealedWith: z.enum(keysOf(sealants)).nullable() })),
    counted: z.array(
      z.object({ id, version: n, what: s, out: n, back: n.nullable(), note: s, at: s, photograph: z.object({ id, hash: s, caption: s }).nullable() }),
    ),
    /** Photographs that may be the map of where small parts go back. */
    maps: z.array(z.object({ id, caption: s })),
    dryings: z.array(
      z.object({
        id,
        what: s,
        startedAt: s,
        endedAt: s.nullable(),
        endedWet: s,
        weighings: z.array(z.object({ id, at: s, massG: n })),
        state: z.enum(dryingStates),
        leftNowG: Band.nullable(),
        dryMassG: Band.nullable(),
        dryAt: s.nullable(),
        weighAt: s,
        findings: z.array(Finding),
      }),
    ),
    whitenings: z.array(
      z.object({
        id,
        name: s,
        plastic: s,
        goalB: n,
        reference: MeasuredColour,
        colours: z.array(MeasuredColour.extend({ id, at: s, hours: n })),
        exposures: z.array(
          z.object({ id, at: s, how: z.enum(keysOf(exposureKinds)), hours: n, strengthPct: n.nullable(), temperatureC: n.nullable(), turned: b, note: s }),
        ),
        hours: n,
        /** Time constants of other parts of the same plastic, whitened here. */
        similarTauHours: z.array(n),
        endedAt: s.nullable(),
        outcome: s,
        relookOn: s.nullable(),
      }),
    ),
  }),
})
