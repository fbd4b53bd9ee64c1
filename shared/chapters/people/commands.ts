import { z } from 'zod'
import { type Skill, skillNames } from '#core/kernel/skills'
import { command } from '../../kernel/contract'
import { id, oneOf, text, version } from '../../kernel/fields'
import { coordinator, everybody, roles } from '../../kernel/roles'

const password = z.string({ error: 'Password: type one.' }).min(10, 'Password: at least ten characters.').max(200, 'Password: at most 200 characters.')

const signInName = text('Sign-in name', 40).regex(/^[a-z0-9._-]+$/, 'Sign-in name: small letters, digits, dot, hyphen.')

export const onCollection = {
  'add-person': command(coordinator, z.object({ name: text('Name', 80), signInName, password, role: oneOf(roles, 'Role') })),
  'grant-skills': command(coordinator, z.object({ personId: id, version, skills: z.array(oneOf(skillNames as [Skill, ...Skill[]], 'Skill')).max(20) })),
  'set-password': command(coordinator, z.object({ personId: id, password })),
  'set-own-password': command(
    everybody,
    z.object({ oldPassword: z.string({ error: 'Current password: type it.' }).min(1, 'Current password: type it.').max(200), password }),
  ),
  'end-session': command(everybody, z.object({ session: text('Session', 60) })),
  'forget-person': command(coordinator, z.object({ personId: id, version, name: text('Their name', 80) })),
  'change-own-name': command(everybody, z.object({ version, name: text('Name', 80) })),
  'change-person': command(coordinator, z.object({ personId: id, version, name: text('Name', 80), role: oneOf(roles, 'Role'), active: z.boolean() })),
} as const

export const SignIn = z.object({ signInName: text('Sign-in name', 40), password: z.string().min(1, 'Password: type it here.').max(200) })

export const FirstStart = z.object({ collection: text('Name of the collection', 120), name: text('Your name', 80), signInName, password })
