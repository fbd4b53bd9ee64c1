import { type DamageKind, type Severity, damageKinds } from './damage'

/** Condition in four grades, 0 none to 3 major, in the manner of EN 16096 (from memory). */
export const grades = [
  { grade: 0, title: 'Sound', means: 'No damage seen.' },
  { grade: 1, title: 'Minor', means: 'Small damage, stable; can wait.' },
  { grade: 2, title: 'Moderate', means: 'Damage that needs work before it is used.' },
  { grade: 3, title: 'Major', means: 'Serious or growing damage, or lost function.' },
] as const
export type Grade = (typeof grades)[number]['grade']

/** Whether a grade can stand beside the damage that is marked on the assembly. @returns why not; nothing where it can */
export function gradeAgainst(grade: number | null, damages: readonly { kind: DamageKind; severity: Severity; where: string }[]): string | null {
  const severe = damages.find(d => d.severity === 'severe')
  return grade === 0 && severe ? `Severe damage is marked on it: ${damageKinds[severe.kind].toLowerCase()}, ${severe.where}. It cannot be sound.` : null
}

/** What was never there is no loss: it weighs nothing, and nobody looks for it. */
export const presences = ['present', 'missing', 'never', 'not-looked'] as const
export type Presence = (typeof presences)[number]
export const presenceNames: Record<Presence, string> = {
  'present': 'Present',
  'missing': 'Missing',
  'never': 'Never had one',
  'not-looked': 'Not yet looked at',
}

/** Whether there is nothing of it to look at, to clean or to connect. */
export const isAway = (presence: Presence): boolean => presence === 'missing' || presence === 'never'

/** Parts of a machine when its model has no template of its own. */
export const defaultAssemblies = ['Supply', 'Main board', 'Keyboard', 'Drives', 'Display', 'Case'] as const
