import { rules } from '../condition/implied-checks'
import { InputError } from '../kernel/input-error'
import { type BatteryState, type Chemistry, chemistries } from './battery'

/**
 * The way home of a battery that has leaked, one step after the other: out, neutralised, rinsed, dried, looked at. Alkali is neutralised with a
 * mild acid, acid with bicarbonate of soda; what is not known is tried for its pH first. Common practice, no source.
 */
export const homeSteps = ['neutralised', 'rinsed', 'dried', 'clean'] as const satisfies readonly BatteryState[]
export type HomeStep = (typeof homeSteps)[number]

const neutraliser: Record<(typeof chemistries)[Chemistry]['leaks'], string> = {
  alkali: 'with a mild acid such as white vinegar, until it fizzes no more',
  acid: 'with bicarbonate of soda, until it fizzes no more',
  solvent: 'with nothing: wipe what vented with a dry cloth, gloves on, at an open window',
  rarely: 'with a cloth and a little alcohol, gloves on',
  unknown: 'only once its pH was tried: a mild acid for alkali, bicarbonate of soda for acid',
}
const doing: Record<HomeStep, (chemistry: Chemistry) => string> = {
  neutralised: chemistry => `Neutralise what it left ${neutraliser[chemistries[chemistry].leaks]}.`,
  rinsed: () => 'Rinse with distilled water, more than once; swab with alcohol.',
  dried: () => 'Dry it through, warm and slowly, and say so once it is dry.',
  clean: () => 'Look under everything it may have reached, and at the other side of the board.',
}

/** What is looked at before the place counts as clean; the same as damage by a battery implies. */
export const batteryRule = 'alkali'
export const placesToLook: readonly string[] = rules.find(r => r.code === batteryRule)!.checks

/** Next step of the clean-up and how it is done; nothing for a battery that has not leaked, is still in, or is home. */
export function nextHomeStep({
  state,
  fitted,
  chemistry,
}: {
  state: BatteryState
  fitted: boolean
  chemistry: Chemistry
}): { step: HomeStep; do: string } | null {
  if (fitted) return null
  // What leaks, or has left residue, stands before the first step.
  const at = homeSteps.indexOf(state as HomeStep) + 1
  const step = state === 'sound' || state === 'doubtful' ? undefined : homeSteps[at]
  return step ? { step, do: doing[step](chemistry) } : null
}

/**
 * Whether this step may be said of it now.
 * @param lookedAt places that somebody has looked at
 * @throws InputError for a step out of turn, or a place that nobody has looked at
 */
export function checkHomeStep(battery: { state: BatteryState; fitted: boolean; chemistry: Chemistry }, step: HomeStep, lookedAt: readonly string[]): void {
  const next = nextHomeStep(battery)
  if (battery.fitted) throw new InputError('step', step, 'It is still in: take it out first.')
  if (next?.step !== step) throw new InputError('step', step, next ? `First: ${next.do}` : 'Nothing of it is left to do.')
  const missing = step === 'clean' ? placesToLook.filter(place => !lookedAt.includes(place)) : []
  if (missing.length) throw new InputError('lookedAt', lookedAt, `Not looked at yet: ${missing.map(m => m.charAt(0).toLowerCase() + m.slice(1)).join('; ')}.`)
}
