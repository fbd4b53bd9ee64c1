import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { forgetPerson } from './personal'
import { endSession } from './sessions'
import { addPerson, changeOwnName, changePerson, grantSkills, requireSkill, setOwnPassword, setPassword } from './carry-out'

/** People and skills: what can be done, with its rules in the core. */
export const peopleChapter = serverChapter({
  name: 'people',
  leave: requireSkill,
  schema,
  onCollection: {
    'add-person': addPerson,
    'change-person': changePerson,
    'change-own-name': changeOwnName,
    'grant-skills': grantSkills,
    'set-password': setPassword,
    'set-own-password': setOwnPassword,
    'end-session': endSession,
    'forget-person': forgetPerson,
  },
})
export * from './carry-out'
export { namesOfPeople } from './names'
export * from './personal'
export * from './schema'
export * from './sessions'
