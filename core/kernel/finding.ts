/**
 * Every judgement of the product is a list of findings: a level, a plain sentence, the facts it rests on, its source.
 */
export const levels = ['stop', 'care', 'fine', 'note'] as const
export type Level = (typeof levels)[number]

/** What the order of the work hangs on; `waiting` is what is away or takes its time, `loose` what lies in it that should not. */
export const concerns = ['smoke', 'mains', 'battery', 'line-filter', 'wet', 'waiting', 'loose', 'burnt', 'supply'] as const
export type Concern = (typeof concerns)[number]

/** What a finding means to whoever acts on it. They ask these and the level, and never the code, which is a name. */
export interface Attributes {
  /** It keeps a verdict open: nobody has looked, what is on record stands against itself, or nobody has signed. */
  open?: 'not-looked' | 'unsettled' | 'not-signed'
  concerns?: Concern
  /** When it can be settled: by itself in time, once all is dry, or under power alone. */
  when?: 'by-itself' | 'dry' | 'powered'
  /** The fact for power that it speaks of. */
  fact?: string
  /** It is heard by another record of the machine already, or is nothing of the machine's: no second one comes of it. */
  heard?: 'elsewhere' | 'nowhere'
  /** What is missing of a thing that only long use shows: a sign-off with limits may pass it over. */
  shows?: 'in-long-use'
  /** It has begun anew, or only just: what was signed before stands all the same. */
  begun?: 'anew'
}

/** What of a row of a table stands in the order of the work, for a finding that is made of it. */
export const orderOf = ({ concerns, when }: Pick<Attributes, 'concerns' | 'when'>): Pick<Attributes, 'concerns' | 'when'> => ({
  ...(concerns ? { concerns } : {}),
  ...(when ? { when } : {}),
})

export interface Finding extends Attributes {
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
export function finding(level: Level, code: string, says: string, because: string | string[], source?: string, means: Attributes = {}): Finding {
  const facts = Array.isArray(because) ? because : [because]
  return { level, code, says, because: facts, ...(source ? { source } : {}), ...means }
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
