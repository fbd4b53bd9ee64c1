import { type Finding, finding } from '../kernel/finding'
import type { RailVerdict } from '../power/rails'
import type { SoakVerdict } from './soak'
import { type GateVerdict, gateWords } from '../safety/gate'

export interface SignOffInput {
  gate: GateVerdict
  rails: RailVerdict
  /** Whether the readings that decide were taken under load. */
  underLoad: boolean
  /** Steps of its opening record that are still undone. */
  stepsUndone: number
  /** Symptoms of open faults, and whether each stops the machine. */
  openFaults: { symptom: string; stopsMachine: boolean }[]
  /** What is still being waited for, such as drying. */
  runningWaits: string[]
  /** Whether everything is in its place and connected. */
  whole: boolean
  /** Soaks, with what each has shown by now. */
  soaks: readonly { what: string; verdict: SoakVerdict; left: number | null; given: boolean }[]
}

export interface SignOffResult {
  allowed: boolean
  findings: Finding[]
}

/**
 * Decides whether a machine may be signed off as proved.
 * Refused while the gate is not clear, it is not whole, a rail is not good under load, a fault that stops the machine is open, or it is still drying.
 * @returns findings; `allowed` when none of them stops it
 * Source: common practice, no source.
 */
export function judgeSignOff({ gate, rails, underLoad, stepsUndone, openFaults, runningWaits, whole, soaks }: SignOffInput): SignOffResult {
  const findings: Finding[] = [
    gate === 'clear-to-run'
      ? finding('fine', 'sign-off.gate', 'The gate says: clear to run.', 'Nothing that keeps it off is open.')
      : finding('stop', 'sign-off.gate', `The gate says: ${gateWords[gate].title.toLowerCase()}.`, 'Only a machine that is clear to run can be signed off.'),
    railFinding(rails, underLoad),
    ...(whole
      ? []
      : [
          finding(
            'stop',
            'sign-off.configuration',
            stepsUndone ? `It is not whole: ${stepsUndone} ${stepsUndone === 1 ? 'step' : 'steps'} of its opening record undone.` : 'It is not whole.',
            'A part-assembled machine misleads: put everything back, read the rails, test again.',
          ),
        ]),
    ...openFaults.map(fault =>
      fault.stopsMachine
        ? finding(
            'stop',
            'sign-off.fault',
            `Open fault that stops it: ${fault.symptom}.`,
            'Close the fault with a repair, or record that it no longer stops the machine.',
          )
        : finding('care', 'sign-off.lesser-fault', `Open fault: ${fault.symptom}.`, 'It does not stop the machine; it stays in the record.'),
    ),
    ...soaks.map(soakFinding),
    ...runningWaits.map(wait => finding('stop', 'sign-off.wait', `Still waiting: ${wait}.`, 'Let the wait run out, or end it with a reason.')),
  ]
  return { allowed: !findings.some(f => f.level === 'stop'), findings }
}

/** A soak that runs or has failed stands against it; one that was given up is told, and one that was passed is worth telling. */
function soakFinding({ what, verdict, left, given }: SignOffInput['soaks'][number]): Finding {
  if (verdict === 'cured') return finding('fine', 'sign-off.soak', `Soak passed: ${what}.`, 'It is believable as cured at the confidence that was asked for.')
  if (given) return finding('care', 'sign-off.soak', `Soak given up: ${what}.`, verdict === 'not-cured' ? 'It failed while it ran.' : 'It was not decided.')
  return verdict === 'not-cured'
    ? finding('stop', 'sign-off.soak', `Soak failed: ${what}.`, 'It is not cured. End the soak once the fault is written down, and mend it.')
    : finding('stop', 'sign-off.soak', `Soak not finished: ${what}.`, `${left} clean passes are left. Finish it, or give it up with a reason.`)
}

function railFinding(rails: RailVerdict, underLoad: boolean): Finding {
  switch (rails) {
    case 'good':
      if (!underLoad)
        return finding(
          'stop',
          'sign-off.rails',
          'Not every rail has been read under load.',
          'A worn supply may hold its voltage only while nothing draws current.',
        )
      return finding('fine', 'sign-off.rails', 'Every rail is within limits.', 'Judged from the readings that decide.')
    case 'reread':
      return finding('stop', 'sign-off.rails', 'A rail was low without a load.', 'Read it again under load.')
    case 'out':
      return finding('stop', 'sign-off.rails', 'A rail is out of limits.', 'Repair the supply and read it again.')
    case 'unread':
      return finding('stop', 'sign-off.rails', 'Not every rail has been read.', 'Read every rail under load.')
  }
}
