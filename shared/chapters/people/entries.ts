import { z } from 'zod'
import { word } from '../../kernel/fields'
import { type Skill, skills } from '#core/kernel/skills'
import { closed, ending, entry } from '../../kernel/contract'
import { type Role, roleNames } from '../../kernel/roles'

const s = z.string()
const b = z.boolean()
const n = z.number()

export const entries = {
  'person.added': entry(z.object({ name: s, role: word<Role>() }), d => `${d.name} added as ${roleNames[d.role].toLowerCase()}.`, closed),
  'person.password-set': entry(z.object({ name: s }), d => `${d.name} was given a new password.`, closed),
  'person.password-changed': entry(z.object({ name: s }), d => `${d.name} changed their own password.`, closed),
  'session.ended': entry(z.object({ name: s }), d => `A session of ${d.name} was ended.`, closed),
  'person.forgotten': entry(
    z.object({ name: s, entries: n, places: n, words: s }),
    d => `Somebody was taken out of the history, and is called ${d.name} in ${d.entries} ${d.entries === 1 ? 'entry' : 'entries'}.`,
    closed,
  ),
  'person.renamed': entry(z.object({ before: s, name: s }), d => ending(`${d.before} is now called ${d.name}`), closed),
  'person.skilled': entry(
    z.object({ name: s, skills: z.array(word<Skill>()) }),
    d => `${d.name} may: ${d.skills.map(k => skills[k].title.toLowerCase()).join(', ') || 'nothing that takes a skill'}.`,
    closed,
  ),
  'person.changed': entry(
    z.object({ name: s, role: word<Role>(), active: b }),
    d => `${d.name} is ${d.active ? roleNames[d.role].toLowerCase() : 'no longer active'}.`,
    closed,
  ),
} as const
