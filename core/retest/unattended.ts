import { type Finding, commonPractice, finding } from '../kernel/finding'
import { type GateVerdict, gateWords } from '../safety/gate-words'

/** Hours that a machine which is clear to run may be left alone while somebody is in the house. Common practice, no source. */
const aloneHours = 8

/**
 * Whether a soak may run with nobody beside it. Where capacitors come first it may, once the gate is clear; where a baseline comes first it stays
 * attended until the old line filter has been replaced. Never at night in an empty house, and never against the gate.
 * @param filterReplaced the line filter is new, or none is fitted
 */
export function judgeUnattended({ gate, school, filterReplaced }: { gate: GateVerdict; school: string; filterReplaced: boolean }): Finding[] {
  if (gate === 'keep-off' || gate === 'not-yet-assessed')
    return [finding('stop', 'unattended.gate', `No soak: the gate says ${gateWords[gate].title.toLowerCase()}.`, gateWords[gate].means)]
  if (gate === 'guarded-start')
    return [
      finding('care', 'unattended.guarded', 'Soak it attended: the gate says guarded start.', 'Somebody stays in the room, with the switch within reach.'),
    ]
  if (school === 'baseline-first' && !filterReplaced)
    return [
      finding(
        'care',
        'unattended.filter',
        'Soak it attended: its old line filter is still in.',
        'The practice here starts such machines, and does not leave them alone.',
        commonPractice,
      ),
    ]
  return [
    finding(
      'note',
      'unattended.hours',
      `Up to ${aloneHours} h unattended while somebody is in the house.`,
      'Smoke alarm in the room, fuse or current limit in the lead, nothing flammable beside it. Local rules decide.',
      commonPractice,
    ),
  ]
}
