/**
 * Every judgement of the product is a list of findings: a level, a plain sentence, the facts it rests on, its source.
 */
export const levels = ['stop', 'care', 'fine', 'note'] as const
export type Level = (typeof levels)[number]

export interface Finding {
  level: Level
  /** Stable name of the rule, `subject.case`; tests and translations hold on to it. */
  code: string
  /** One plain sentence for the person at the bench. */
  says: string
  /** The facts it rests on, most telling first. */
  because: string[]
  /** Where the rule comes from. */
  source?: string
}

export const commonPractice = 'common practice, no source'

/** Builds a finding; `because` may be one fact or several. */
export function finding(level: Level, code: string, says: string, because: string | string[], source?: string): Finding {
  const facts = Array.isArray(because) ? because : [because]
  return source ? { level, code, says, because: facts, source } : { level, code, says, because: facts }
}

/** From most to least pressing: what stops, what wants care, what is worth knowing, what was found in order. */
const pressing: Record<Level, number> = { stop: 0, care: 1, note: 2, fine: 3 }

/** The findings with the most pressing first; order among equals is kept. */
export function mostPressingFirst(findings: readonly Finding[]): Finding[] {
  return [...findings].sort((a, b) => pressing[a.level] - pressing[b.level])
}

/** The level that decides: `stop` over `care` over `fine`; notes alone give `note`. */
export function decidingLevel(findings: readonly Finding[]): Level {
  return (['stop', 'care', 'fine'] as const).find(level => findings.some(f => f.level === level)) ?? 'note'
}
