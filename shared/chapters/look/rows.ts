import { assemblyRoleNames } from '#core/condition/assembly-roles'
import { damageKinds, severities } from '#core/condition/damage'
import { presences } from '#core/condition/grades'
import { interventionStates } from '#core/condition/interventions'
import { z } from 'zod'
import { id, keysOf, oneOf, optionalText, text } from '../../kernel/fields'
import { row } from '../../kernel/row'

/** What was found of an assembly. */
export const Assembly = row(
  {
    presence: oneOf(presences, 'Presence'),
    grade: z.number().int().min(0).max(3).nullable(),
    note: optionalText('Note', 500),
    role: oneOf(assemblyRoleNames, 'What it is for').nullable().default(null),
  },
  { role: null },
)

/** Damage as it was seen; on what, is said beside it. */
export const Damage = row({
  kind: oneOf(keysOf(damageKinds), 'Kind'),
  where: text('Where', 160),
  extent: optionalText('Extent', 120),
  severity: oneOf(severities, 'Severity'),
})

/** What is said of a photograph. */
export const Photograph = row({ assemblyId: id.nullable(), caption: optionalText('Caption', 200) })

/** What became of something that somebody had done before us. */
export const Intervention = row({ state: oneOf(interventionStates, 'State'), note: text('Why', 500) })
