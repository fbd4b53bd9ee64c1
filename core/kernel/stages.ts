/** The run: seven stages from the back door to the gallery. Work goes back and forth between them. */
export const stages = ['arrive', 'look', 'make-safe', 'clean', 'mend', 'prove', 'home'] as const
export type Stage = (typeof stages)[number]

export const stageNames: Record<Stage, string> = {
  'arrive': 'Arrive',
  'look': 'Look',
  'make-safe': 'Make safe',
  'clean': 'Clean',
  'mend': 'Mend',
  'prove': 'Prove',
  'home': 'Home',
}

/** The life a machine leads once it is home. */
export const lives = ['gallery', 'demonstration', 'hands-on', 'store', 'back-to-owner'] as const
export type Life = (typeof lives)[number]
export const lifeNames: Record<Life, { title: string; means: string }> = {
  'gallery': { title: 'Gallery', means: 'Under glass, not running. Worn original feet may stay.' },
  'demonstration': { title: 'Demonstration', means: 'Run now and then by somebody who knows it.' },
  'hands-on': { title: 'Hands-on', means: 'Visitors use it. Sound feet, spare keys, a second supply.' },
  'store': { title: 'Store', means: 'Resting. It may fail in store: test again on the way out.' },
  'back-to-owner': { title: 'Back to its owner', means: 'Returned with its record.' },
}
