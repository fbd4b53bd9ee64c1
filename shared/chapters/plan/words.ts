/** Where a job of an evening stands. */
export const jobStates = ['dealt', 'in-hand', 'handed-on', 'done'] as const
export type JobState = (typeof jobStates)[number]

/** The code of a job that is nobody's next move. */
export const ownJob = 'own'
