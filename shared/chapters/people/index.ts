import { chapter } from '../../kernel/contract'
import { onCollection, onMachine } from './commands'
import { entries } from './entries'
import { view } from './view'

/** The people of the collection: roles, skills, signing in. */
export const people = chapter({ name: 'people', onMachine, onCollection, entries, view })
export { FirstStart, SignIn } from './commands'
export { PersonView, SessionView, type SessionPlace } from './view'
