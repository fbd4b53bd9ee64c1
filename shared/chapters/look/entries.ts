import { z } from 'zod'
import { word } from '../../kernel/fields'
import { assemblyRoles, proposedRole } from '#core/condition/assembly-roles'
import { damageKinds, severityNames } from '#core/condition/damage'
import { grades, presenceNames } from '#core/condition/grades'
import { type InterventionKind, interventionKinds, interventionStateNames } from '#core/condition/interventions'
import { closed, ending, entry, observed, quote, shown } from '../../kernel/contract'
import { Assembly, Damage, Intervention } from './rows'
import { type CheckOutcome, checkOutcomeNames } from './words'

const s = z.string()
const n = z.number()
const b = z.boolean()

export const entries = {
  'assembly.added': entry(z.object({ name: s }), d => `Assembly added: ${d.name}.`, shown),
  'assembly.graded': entry(
    z.object({ name: s, ...Assembly.said }),
    d =>
      `${d.name}: ${d.grade === null ? presenceNames[d.presence].toLowerCase() : `grade ${d.grade}, ${grades[d.grade as 0]?.title.toLowerCase()}`}${d.role && d.role !== proposedRole(d.name) ? `; counts as ${assemblyRoles[d.role].title.toLowerCase()}` : ''}. ${d.note && ending(d.note)}`.trim(),
    shown,
    d => [d.note],
  ),
  'damage.recorded': entry(
    z.object({ assembly: s, ...Damage.said }),
    d =>
      `${severityNames[d.severity]} ${damageKinds[d.kind].toLowerCase()}${d.assembly && ` on ${d.assembly.toLowerCase()}`}, ${d.where}${d.extent && `, ${d.extent}`}.`,
    observed,
    d => [d.where, d.extent],
  ),
  'damage.changed': entry(
    z.object({ assembly: s, ...Damage.said }),
    d =>
      `Damage now reads: ${severityNames[d.severity].toLowerCase()} ${damageKinds[d.kind].toLowerCase()}${d.assembly && ` on ${d.assembly.toLowerCase()}`}, ${d.where}${d.extent && `, ${d.extent}`}.`,
    { open: true, corrects: true },
    d => [d.where, d.extent],
  ),
  'damage.patina': entry(
    z.object({ assembly: s, kind: word<keyof typeof damageKinds>(), where: s, reason: s }),
    d => {
      const what = `${damageKinds[d.kind]}${d.assembly && ` on ${d.assembly.toLowerCase()}`}, ${d.where}`
      return d.reason ? `${what}: stays as patina. ${ending(d.reason)}` : `${what}: no longer left as patina.`
    },
    shown,
  ),
  'check.settled': entry(
    z.object({ says: s, outcome: word<CheckOutcome>(), note: s }),
    d => `${ending(d.says)} ${checkOutcomeNames[d.outcome]}${d.note && `: ${d.note}`}.`,
    observed,
    d => [d.note],
  ),
  'photograph.added': entry(
    z.object({ name: s, assembly: s, caption: s, hash: s }),
    d => `Photograph added${d.assembly && ` of ${d.assembly.toLowerCase()}`}: ${ending(d.caption || d.name)}`,
    { open: d => `Photograph added${d.assembly && ` of ${d.assembly.toLowerCase()}`}${d.caption ? `: ${ending(d.caption)}` : '.'}`, strikeable: true },
    d => [d.caption],
  ),
  'photograph.described': entry(
    z.object({ assembly: s, caption: s }),
    d => `Photograph${d.assembly && ` of ${d.assembly.toLowerCase()}`} now reads: ${ending(d.caption || 'no caption')}`,
    { open: true, corrects: true },
    d => [d.caption],
  ),
  'portrait.chosen': entry(
    z.object({ photograph: s, chosen: z.boolean() }),
    d => (d.chosen ? `Known by its picture ${quote(d.photograph)}.` : `No longer known by its picture ${quote(d.photograph)}.`),
    closed,
  ),
  'scale.set': entry(
    z.object({ photograph: s, distanceMm: n.nullable() }),
    d =>
      d.distanceMm === null ? `Scale taken off photograph ${quote(d.photograph)}.` : `Scale set on photograph ${quote(d.photograph)}, from ${d.distanceMm} mm.`,
    closed,
  ),
  'corrosion.measured': entry(
    z.object({ what: s, areaPct: n, errorPct: n, rating: n.nullable(), rustDegree: n.nullable() }),
    d =>
      `Corrosion measured, ${d.what}: ${d.areaPct.toFixed(1)} % ± ${d.errorPct.toFixed(1)}${d.rating === null ? ', no rating' : `, rating ${d.rating} of 10`}${d.rustDegree === null ? '' : `, Ri ${d.rustDegree}`}.`,
    observed,
  ),
  'intervention.logged': entry(
    z.object({ kind: word<InterventionKind>(), assembly: s, where: s, note: s, understood: b }),
    d =>
      `Earlier change: ${interventionKinds[d.kind].toLowerCase()}${d.assembly && ` on ${d.assembly.toLowerCase()}`}, ${d.where}${d.note && `, ${d.note}`}; ${d.understood ? 'understood' : 'not understood yet'}.`,
    observed,
    d => [`${d.where}: ${d.note}`],
  ),
  'intervention.settled': entry(
    z.object({ kind: word<InterventionKind>(), where: s, ...Intervention.said }),
    d => `${interventionKinds[d.kind]}, ${d.where}: ${interventionStateNames[d.state].toLowerCase()}. ${ending(d.note)}`,
    shown,
    d => [d.note],
  ),
} as const
