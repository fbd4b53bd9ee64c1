import { chapter } from '../../kernel/contract'
import { onCollection } from './commands'
import { entries } from './entries'

/** The people of the collection: roles, skills, signing in. */
export const people = chapter({ name: 'people', onCollection, entries })
export { FirstStart, SignIn } from './commands'
export { PersonView, SessionView, type SessionPlace } from './view'
