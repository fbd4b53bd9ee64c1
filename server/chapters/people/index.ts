import { serverChapter } from '../../kernel/chapter'
import { addPerson, changePerson, grantSkills, setPassword } from './carry-out'

/** People and skills: what can be done, with its rules in the core. */
export const peopleChapter = serverChapter({
  onCollection: { 'add-person': addPerson, 'change-person': changePerson, 'grant-skills': grantSkills, 'set-password': setPassword },
})
export * from './carry-out'
export * from './schema'
