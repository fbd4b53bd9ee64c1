/**
 * Skills that a coordinator grants. Anybody may report a danger or close the gate further;
 * to say that one has been cleared, or to stand at the switch of a machine that takes mains, takes the skill.
 * Common practice, no source.
 */
export const skills = {
  'mains': {
    title: 'Mains',
    means: 'Works inside mains supplies, and stands at the switch of a machine that takes mains.',
    who: 'someone experienced with mains supplies',
  },
  'picture-tube': { title: 'Picture tubes', means: 'Trained in discharging and handling picture tubes.', who: 'someone trained in picture tubes' },
  'fine-rework': {
    title: 'Fine rework',
    means: 'Lifts and replaces parts on dense boards without harm to the board.',
    who: 'someone practised in fine rework',
  },
  'inspection': {
    title: 'Inspection',
    means: 'Signs that the facts for power were looked at; the gate counts on that name.',
    who: 'somebody who has leave to inspect',
  },
  'lifting': { title: 'Lifting', means: 'Leads a lift, and knows the gear.', who: 'someone who leads lifts' },
} as const satisfies Record<string, { title: string; means: string; who: string }>
export type Skill = keyof typeof skills
export const skillNames = Object.keys(skills) as Skill[]

export interface Skilled {
  name: string
  skills: readonly Skill[]
}

/** Who could do what takes a skill, as a sentence; what takes none has no such sentence. */
export function whoCould(skill: Skill | undefined, crew: readonly Skilled[]): string {
  if (!skill) return ''
  const able = crew.filter(p => p.skills.includes(skill)).map(p => p.name)
  return able.length ? `Here: ${able.join(', ')}.` : `Nobody here has the skill “${skills[skill].title}” yet; a coordinator grants it under Settings.`
}
