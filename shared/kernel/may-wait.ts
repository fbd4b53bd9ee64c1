/**
 * What may be sent later than it was said, and what it is called meanwhile: what was seen, measured, counted or wished for, which is true whenever it
 * arrives. Whatever opens or starts something, or changes what somebody else may have changed, is not among it.
 * It is kept as of when it was said, so far as nothing has been written about the machine since.
 */
export const mayWait = {
  'take-reading': 'A rail reading',
  'take-temperature': 'A temperature',
  'measure-off-state': 'A rail measured with the power off',
  'tally-soak': 'A pass of a soak',
  'look-test-line': 'A line of the test sheet',
  'answer-probe': 'An answer of a probe sheet',
  'record-damage': 'Damage seen',
  'find-contamination': 'What got in',
  'log-intervention': 'What was done before',
  'record-opening-step': 'A step of the opening',
  'add-claim': 'A claim',
  'read-date-code': 'A date code',
  'note-accessory': 'What came with it',
  'report-fault': 'A fault',
  'note-code': 'An error code',
  'log-breakage': 'A breakage',
  'measure-colour': 'A colour measured',
  'start-wait': 'A wait',
  'want-part': 'A part wanted',
  'ask-question': 'An open question',
  'log-demonstration': 'A demonstration',
  'add-photograph': 'A photograph',
} as const
export type MayWait = keyof typeof mayWait
/** Whether what this command says may be sent later. */
export const waits = (name: string): name is MayWait => name in mayWait
