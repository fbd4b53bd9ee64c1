import { type Finding, commonPractice, finding } from '../kernel/finding'
import type { RailVerdict } from '../power/rails'
import type { SoakVerdict } from './soak'
import { type GateVerdict, gateWords } from '../safety/gate-words'

export interface SignOffInput {
  gate: GateVerdict
  rails: RailVerdict
  /** Whether the readings that decide were taken under load. */
  underLoad: boolean
  /** Steps of its opening record that are still undone. */
  stepsUndone: number
  /** Symptoms of open faults, and whether each stops the machine. */
  openFaults: readonly { symptom: string; stopsMachine: boolean }[]
  /** What is still being waited for, such as drying. */
  runningWaits: readonly string[]
  /** Whether everything is in its place and connected. */
  whole: boolean
  /** Soaks, with what each has shown by now. */
  soaks: readonly { what: string; verdict: SoakVerdict; left: number | null; given: boolean; failed: boolean; stands: boolean }[]
  /** Symptoms that came and went, were mended, and of which no soak has said since that they are gone. */
  notSoaked: readonly string[]
  /** The build-up that is not ended, if any: whether it is done, and where it stands in words. */
  buildUp: { done: boolean; says: string } | null
  /** What the newest test sheet says; nothing where none was begun. */
  testSheet: { done: boolean; left: readonly string[]; failed: readonly string[]; testedAt?: string | null } | null
  /** When it was repaired last. */
  repairedAt?: string | null
}

/** What a conditional sign-off is limited to; it is for demonstration by somebody who knows the machine. */
export interface SignOffLimits {
  hoursADay: number | null
  attended: boolean
  noOriginalMedia: boolean
}
/** `for demonstration: attended, up to 2 h a day` */
export const limitWords = ({ hoursADay, attended, noOriginalMedia }: SignOffLimits): string => {
  const parts = [attended && 'attended', hoursADay !== null && `up to ${hoursADay} h a day`, noOriginalMedia && 'no original media'].filter(Boolean)
  return `for demonstration${parts.length ? `: ${parts.join(', ')}` : ''}`
}
/** Whether a sign-off is allowed with these limits; without limits as `judgeSignOff` says. */
export const allowedWith = ({ findings }: SignOffResult, limits: SignOffLimits | null): boolean =>
  !findings.some(f => f.level === 'stop' && !(limits?.attended && f.shows === 'in-long-use'))

/**
 * Whoever repaired a machine does not sign it off. Where nobody else is there who could, it is said and let be.
 * @param signer who would sign, @param repairers who mended, by the same keys, @param others how many beside the signer might sign
 * Source: four eyes, common practice, no source.
 */
export function judgeSigner(signer: number, repairers: readonly number[], others: number): Finding[] {
  if (!repairers.includes(signer)) return []
  return others > 0
    ? [
        finding(
          'stop',
          'sign-off.same',
          'Whoever repaired it does not sign it off.',
          'Four eyes see what two have got used to. Ask somebody else to test it.',
          commonPractice,
        ),
      ]
    : [finding('care', 'sign-off.same', 'Signed off by the person who repaired it.', 'Nobody else is here who could.', commonPractice)]
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
export function judgeSignOff({
  gate,
  rails,
  underLoad,
  stepsUndone,
  openFaults,
  runningWaits,
  whole,
  soaks,
  notSoaked,
  buildUp,
  testSheet,
  repairedAt,
}: SignOffInput): SignOffResult {
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
    ...notSoaked.map(symptom =>
      finding(
        'care',
        'sign-off.not-soaked',
        `It came and went, and nothing has run to show that it is gone: ${symptom}.`,
        'One good run says little of what fails now and then. Soak it, or say in the statement why it is believed.',
        commonPractice,
      ),
    ),
    ...(buildUp && !buildUp.done
      ? [finding('stop', 'sign-off.build-up', `The build-up is not done: ${buildUp.says}`, 'Go on with it, or end it with a reason.')]
      : []),
    ...testFindings(testSheet, repairedAt ?? null),
    ...runningWaits.map(wait =>
      finding('stop', 'sign-off.wait', `Still waiting: ${wait}.`, 'Let the wait run out, or end it with a reason.', undefined, { begun: 'anew' }),
    ),
  ]
  return { allowed: !findings.some(f => f.level === 'stop'), findings }
}

/** A line that failed stands against it, and so does one that was left; without any sheet it is said that none was worked through. */
function testFindings(sheet: SignOffInput['testSheet'], repairedAt: string | null): Finding[] {
  if (!sheet) return [finding('care', 'sign-off.no-test', 'No test sheet was worked through.', 'What was tested is what the statement says, and nothing else.')]
  return [
    ...sheet.failed.map(says => finding('stop', 'sign-off.test', `Test failed: ${says}.`, 'Write it down as a fault, mend it, and test that line again.')),
    ...(sheet.left.length
      ? [
          finding('stop', 'sign-off.test-left', `Not tested yet: ${sheet.left.slice(0, 6).join(', ')}.`, 'What was not tried is not known.', undefined, {
            begun: 'anew',
            shows: 'in-long-use',
          }),
        ]
      : []),
    ...(!sheet.done && !sheet.failed.length && !sheet.left.length
      ? [finding('stop', 'sign-off.test', 'Nothing was tested.', 'Each line of the test sheet says that it has none of it.')]
      : []),
    ...(sheet.done && sheet.testedAt && repairedAt && sheet.testedAt < repairedAt
      ? [
          finding(
            'care',
            'sign-off.test-old',
            'Part of it was tested before it was repaired last.',
            'A repair may break what had worked. Test those lines again, or say in the statement why not.',
          ),
        ]
      : sheet.done
        ? [finding('fine', 'sign-off.test', 'Every line of the test sheet has passed.', 'Judged as it was tested here.')]
        : []),
  ]
}

/**
 * A soak that runs or has failed stands against it, and goes on standing when it is ended, or followed by an easier one. One that was given up with no
 * failure in it is told, and one that was passed is worth telling.
 */
function soakFinding({ what, verdict, left, given, failed, stands }: SignOffInput['soaks'][number]): Finding {
  if (verdict === 'cured') return finding('fine', 'sign-off.soak', `Soak passed: ${what}.`, 'It is believable as cured at the confidence that was asked for.')
  if (!stands) return finding('note', 'sign-off.soak', `Soak not passed then, and passed since: ${what}.`, 'One at least as hard was passed.')
  if (given && !failed) return finding('care', 'sign-off.soak', `Soak given up: ${what}.`, 'It was not decided.')
  if (given)
    return finding(
      'stop',
      'sign-off.soak',
      `Soak failed, and was ended: ${what}.`,
      'It stands until something was mended and a soak at least as hard was passed.',
    )
  return verdict === 'not-cured'
    ? finding('stop', 'sign-off.soak', `Soak failed: ${what}.`, 'It is not cured. End the soak once the fault is written down, and mend it.')
    : finding(
        'stop',
        'sign-off.soak-left',
        `Soak not finished: ${what}.`,
        `${left} clean passes are left. Finish it, or give it up with a reason.`,
        undefined,
        { shows: 'in-long-use' },
      )
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
