/** From closed to open. */
export const gateVerdicts = ['keep-off', 'not-yet-assessed', 'guarded-start', 'clear-to-run'] as const
export type GateVerdict = (typeof gateVerdicts)[number]

/** Verdicts under which it may be energised at all, attended. */
export const mayBeStarted = (verdict: GateVerdict): boolean => verdict === 'guarded-start' || verdict === 'clear-to-run'

export const gateWords: Record<GateVerdict, { title: string; means: string }> = {
  'keep-off': { title: 'Keep off', means: 'Do not energise it. The reasons are below.' },
  'not-yet-assessed': { title: 'Not yet assessed', means: 'Do not energise it: not everything has been looked at.' },
  'guarded-start': { title: 'Guarded start', means: 'One attended start with limited current, a second person at the switch.' },
  'clear-to-run': { title: 'Clear to run', means: 'Everything on the list has been checked. It can still fail: stay with it.' },
}
