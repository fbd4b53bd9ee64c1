import { type Finding, finding } from '../kernel/finding'
import { type Life, lifeNames } from '../planning/stages'
import { type GateVerdict, gateWords } from '../safety/gate'

/** Lives in which the machine runs before visitors. */
const runs: readonly Life[] = ['hands-on', 'demonstration']

/**
 * Whether a machine may lead this life: one that runs before visitors has to be signed off, and its gate must not keep it off.
 * @returns findings; a stop among them is a reason to refuse
 * Source: common practice, no source.
 */
export function judgeLife(life: Life, { gateInForce, signedOff }: { gateInForce: GateVerdict; signedOff: boolean }): Finding[] {
  const { title } = lifeNames[life]
  if (!runs.includes(life)) return [finding('fine', 'life.rests', `${title}: it does not run.`, lifeNames[life].means)]
  return [
    ...(gateInForce === 'keep-off' || gateInForce === 'not-yet-assessed'
      ? [finding('stop', 'life.gate', `The gate says: ${gateWords[gateInForce].title.toLowerCase()}.`, gateWords[gateInForce].means)]
      : []),
    ...(signedOff
      ? [finding('fine', 'life.signed-off', 'It is signed off.', `${title}: ${lifeNames[life].means}`)]
      : [finding('stop', 'life.not-signed-off', 'It is not signed off.', 'What runs before visitors has been proved first.')]),
  ]
}
