import { z } from 'zod'
import { ending, entry, observed, quote } from '../../kernel/contract'

const s = z.string()
const b = z.boolean()

export const entries = {
  'fault.reported': entry(
    z.object({ symptom: s, firstSeen: s, stopsMachine: b }),
    d => `Fault reported: ${d.symptom}${d.firstSeen && `, first seen ${d.firstSeen}`}${d.stopsMachine ? '; it stops the machine' : ''}.`,
  ),
  'fault.changed': entry(
    z.object({ from: s, to: s, stopsMachine: b }),
    d => `Fault now reads: ${d.to}${d.stopsMachine ? '; it stops the machine' : '; it does not stop the machine'}.`,
  ),
  'fault.observed': entry(z.object({ symptom: s, says: s }), d => `Observed on ${quote(d.symptom)}: ${ending(d.says)}`, observed),
  'fault.repaired': entry(
    z.object({ symptom: s, did: s, closes: b }),
    d => `Repair on ${quote(d.symptom)}: ${ending(d.did)} ${d.closes ? 'That closed it.' : 'It did not close it.'}`,
  ),
} as const
