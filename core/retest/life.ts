import { onDay } from '../kernel/days'
import { decimals } from '../kernel/figure'
import { type Finding, commonPractice, finding } from '../kernel/finding'
import { type Life, lifeNames } from '../kernel/stages'
import { type GateVerdict, gateWords } from '../safety/gate-words'
import type { SignOffLimits } from './sign-off'

/** Lives in which the machine runs before visitors. */
const runs: readonly Life[] = ['hands-on', 'demonstration']

export interface LifeInput {
  gateInForce: GateVerdict
  signedOff: boolean
  /** Within which the sign-off stands; nothing where it has none. */
  limits: SignOffLimits | null
  /** Places of wear at its feet. */
  wornFeet: readonly string[]
}

/**
 * Whether a machine may lead this life: one that runs before visitors has to be signed off, its gate must not keep it off,
 * and what its sign-off is limited to has to be kept. Worn original feet are right for glass and wrong for hands.
 * @returns findings; a stop among them is a reason to refuse
 * Source: common practice, no source.
 */
export function judgeLife(life: Life, { gateInForce, signedOff, limits, wornFeet }: LifeInput): Finding[] {
  const { title } = lifeNames[life]
  const feet = wornFeet.length ? `Worn: ${wornFeet.join(', ')}.` : ''
  if (!runs.includes(life))
    return [
      gateInForce === 'keep-off'
        ? finding(
            'care',
            'life.rests-off',
            `${title}: it does not run, and the gate keeps it off.`,
            'See that nothing in it goes on harming it, a battery or a residue above all, before it is put away.',
          )
        : finding('fine', 'life.rests', `${title}: it does not run.`, lifeNames[life].means, undefined, { heard: 'elsewhere' }),
      ...(feet && life === 'gallery' ? [finding('fine', 'life.feet', 'Worn original feet may stay: it is behind glass.', feet, commonPractice)] : []),
      ...(life === 'store' && signedOff
        ? [
            finding(
              'note',
              'life.stored',
              'Its sign-off ends in store.',
              'That it worked when it was stored is a claim from then on: it is tested again on the way out.',
            ),
          ]
        : []),
    ]
  return [
    ...(gateInForce === 'keep-off' || gateInForce === 'not-yet-assessed'
      ? [finding('stop', 'life.gate', `The gate says: ${gateWords[gateInForce].title.toLowerCase()}.`, gateWords[gateInForce].means)]
      : []),
    ...(signedOff
      ? [finding('fine', 'life.signed-off', 'It is signed off.', `${title}: ${lifeNames[life].means}`)]
      : [finding('stop', 'life.not-signed-off', 'It is not signed off.', 'What runs before visitors has been proved first.')]),
    ...(limits && life === 'hands-on'
      ? [finding('stop', 'life.limits', 'Its sign-off is for demonstration alone.', 'It was given with limits; visitors keep none.')]
      : []),
    ...(feet && life === 'hands-on'
      ? [finding('stop', 'life.feet', 'Its feet are worn.', `${feet} Sound feet for hands-on use; keep the originals in a bag.`, commonPractice)]
      : []),
    ...(feet && life === 'demonstration'
      ? [finding('care', 'life.feet', 'Its feet are worn.', `${feet} It may slip when it is plugged in.`, commonPractice)]
      : []),
  ]
}

/** One time it ran before visitors. */
export interface Demonstration {
  at: string
  minutes: number
}
/** Minutes it has run on the newest of these days, against what its sign-off allows. @param dayOf the day of an instant, in the collection's zone */
export function judgeDemonstrations(shown: readonly Demonstration[], limits: SignOffLimits | null, dayOf: (at: string) => string): Finding[] {
  const last = shown.at(-1)
  if (!last || limits?.hoursADay === undefined || limits.hoursADay === null) return []
  const day = dayOf(last.at)
  const minutes = shown.filter(s => dayOf(s.at) === day).reduce((sum, s) => sum + s.minutes, 0)
  return minutes > limits.hoursADay * 60
    ? [
        finding(
          'care',
          'demonstration.long',
          `It ran ${decimals(minutes / 60, 2)} h ${onDay(day)}; it is signed off for ${limits.hoursADay} h a day.`,
          'Beyond its limits nothing was tested.',
        ),
      ]
    : []
}

/** Months after which what rests in store is due to be tested again. Common practice, no source. */
export const retestMonths = 12
