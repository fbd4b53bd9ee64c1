import { type Finding, finding } from '../kernel/finding'
import { InputError } from '../kernel/input-error'
import { type Consent, type WorkAsked, mustAskBefore } from '../stewardship/consent'
import { money } from '../kernel/money'
import type { Presence } from './grades'

/** What can become of a machine. */
export const paths = {
  'run-again': { title: 'Run again', means: 'Repaired with like parts until it runs.' },
  'run-with-substitutes': { title: 'Run with substitutes', means: 'Made to run with parts of another kind, each of which can be taken out again.' },
  'display-only': { title: 'Display only', means: 'Cleaned, made safe and shown, not running.' },
  'conserve': { title: 'Conserve as found', means: 'What does harm is stopped; nothing else is touched.' },
  'donor': { title: 'Donor', means: 'Its sound parts go to its sisters, with a record of which.' },
  'back-to-owner': { title: 'Back to its owner', means: 'Returned as it is, with what was found.' },
} as const
export type Path = keyof typeof paths

/** What makes a machine matter, 0 not at all to 3 very much; criteria in the manner of common museum practice, no source. */
export const significanceCriteria = {
  historic: { title: 'History', guidance: 'Does it stand for a person, a place or an event? 3: nobody could tell the story without it.' },
  research: { title: 'Research', guidance: 'Could somebody learn from its inside? 3: undocumented, or kept as it was.' },
  rarity: { title: 'Rarity', guidance: 'How many are left? 3: this is the only one known.' },
  completeness: { title: 'Completeness', guidance: 'How much of the original is there? 3: whole, with its papers.' },
  show: { title: 'What it can show', guidance: 'Would visitors gain from seeing it run? 3: it only makes sense running.' },
} as const
export type Criterion = keyof typeof significanceCriteria
export type Significance = Record<Criterion, number>

export interface TriageInput {
  assemblies: { name: string; presence: Presence; grade: number | null; irreplaceable?: boolean }[]
  significance: Significance
  hours: { low: number; high: number }
  cost: { low: number; high: number }
  /** Others of the model in the collection. */
  sisters: { running: number; wanting: number }
  ours: boolean
  consent?: Consent | null
  currency?: string
}

export interface Term {
  says: string
  /** How much it speaks for the path; below zero against it. One is a good reason, three a decisive one. */
  weight: number
}
export interface RankedPath {
  path: Path
  title: string
  terms: Term[]
  /** The terms together; for the order alone. */
  balance: number
  findings: Finding[]
  /** Whether something has to be asked of the owner before it may be gone. */
  ask: string[]
}

/** What a look at an assembly may do to the order, before anybody has looked. */
export interface NextLook {
  name: string
  minutes: number
  /** The chance that another path comes to the head, 0 to 1. */
  changes: number
  /** By how much the path that is chosen is better supported for it, an hour of looking; for the order alone. */
  gainPerHour: number
}

export interface TriageResult {
  paths: RankedPath[]
  /** What would bring another path to the head of the list. */
  wouldChange: { says: string; to: Path }[]
  /** Assemblies nobody has looked at and which may change the order, by what a look at them is worth an hour, the most first. */
  nextLooks: NextLook[]
  ask: string[]
  findings: Finding[]
}

/** What a path does to a machine that its owner has to have agreed to. */
const worksOf: Record<Path, WorkAsked[]> = {
  'run-again': ['open', 'clean', 'start', 'repair'],
  'run-with-substitutes': ['open', 'clean', 'start', 'repair', 'substitute'],
  'display-only': ['open', 'clean', 'show'],
  'conserve': ['open'],
  'donor': ['donor'],
  'back-to-owner': [],
}

const runs: Path[] = ['run-again', 'run-with-substitutes']
const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
const list = (names: string[]) => names.map(lower).join(', ')

/**
 * Ranks what can become of a machine. Every path is weighed by terms that are shown with it; their sum sets the order and nothing else.
 * @returns the paths, best supported first, what would change the head of the list, and what must be asked of the owner
 * @throws InputError for ranges the wrong way round, or significance outside 0 to 3
 * Weights are the authors' judgement, common practice, no source: they are meant to be argued with.
 */
export function triage(asked: TriageInput): TriageResult {
  check(asked)
  const input = { ...asked, assemblies: asked.assemblies.filter(a => a.presence !== 'never') }
  const ranked = rank(input)
  const first = ranked[0]!
  const unseen = notSeen(input)
  const nothingSeen = unseen.length === input.assemblies.length
  const findings = [
    finding(
      nothingSeen ? 'care' : 'note',
      'triage.first',
      nothingSeen ? 'Nobody has looked at it: no path is supported yet.' : `${first.title} is best supported.`,
      first.terms
        .filter(t => t.weight > 0)
        .sort((a, b) => b.weight - a.weight)
        .slice(0, 3)
        .map(t => t.says),
    ),
    ...(unseen.length
      ? [
          finding(
            'care',
            'triage.unseen',
            `${unseen.length} of ${input.assemblies.length} assemblies have not been looked at yet.`,
            `Not yet: ${list(unseen.map(a => a.name))}. The order may change.`,
          ),
        ]
      : []),
    ...(ranked[1] && first.balance - ranked[1].balance < 1
      ? [finding('care', 'triage.close', `${ranked[1].title} is nearly as well supported.`, 'Two people who know the machine should talk about it.')]
      : []),
  ]
  const looks = nextLooks(input, ranked)
  const [look] = looks
  if (look)
    findings.push(
      finding(
        'note',
        'triage.look-next',
        `Look at ${lower(look.name)} next: it may change the order most.`,
        `In ${Math.max(1, Math.round(look.changes * 20) * 5)} of 100 cases another path comes first, for ${look.minutes} minutes. How assemblies of that age turn out is our own guess.`,
      ),
    )
  return {
    paths: ranked,
    wouldChange: whatWouldChange(input, first.path),
    nextLooks: looks,
    ask: [...new Set(ranked.slice(0, 2).flatMap(p => p.ask))],
    findings,
  }
}

const notSeen = ({ assemblies }: Pick<TriageInput, 'assemblies'>) =>
  assemblies.filter(a => a.presence === 'not-looked' || (a.presence === 'present' && a.grade === null))

function check({ significance, hours, cost }: TriageInput) {
  for (const [field, { low, high }] of [
    ['hours', hours],
    ['cost', cost],
  ] as const) {
    if (!(low >= 0) || !(high >= low)) throw new InputError(field, { low, high }, 'Give the lower figure first, both zero or more.')
  }
  for (const [criterion, value] of Object.entries(significance)) {
    if (!(value >= 0 && value <= 3)) throw new InputError(`significance.${criterion}`, value, 'From 0, not at all, to 3, very much.')
  }
}

function rank(input: TriageInput): RankedPath[] {
  return (Object.keys(paths) as Path[])
    .filter(path => path !== 'back-to-owner' || !input.ours)
    .map(path => {
      const terms = [...termsFor(path, input), ...overLimit(path, input)].filter(t => t.weight !== 0)
      const asks = worksOf[path].flatMap(work => mustAskBefore(work, input.ours, input.consent ?? null))
      const dear =
        runs.includes(path) && !input.ours && input.cost.high > (input.consent?.upTo ?? 0)
          ? [
              finding(
                'stop',
                'triage.cost',
                'It may cost more than its owner agreed to.',
                `Up to ${money(input.cost.high, input.currency ?? 'EUR')} against ${input.consent ? money(input.consent.upTo, input.currency ?? 'EUR') : 'no agreement'}.`,
              ),
            ]
          : []
      const findings = [...asks, ...dear]
      return {
        path,
        title: paths[path].title,
        terms,
        balance: terms.reduce((sum, t) => sum + t.weight, 0),
        findings,
        ask: [
          ...asks.map(f => f.says.replace('Ask the owner first: ', 'May we ').replace(/\.$/, '?')),
          ...dear.map(() => `May it cost up to ${money(input.cost.high, input.currency ?? 'EUR')}?`),
        ],
      }
    })
    .sort((a, b) => b.balance - a.balance)
}

/** What costs more than its owner agreed to speaks against running it, the more the further it goes beyond; three times is decisive. */
function overLimit(path: Path, { ours, consent, cost }: TriageInput): Term[] {
  if (ours || !consent || !runs.includes(path)) return []
  const times = consent.upTo > 0 ? cost.low / consent.upTo : cost.low > 0 ? Infinity : 0
  const weight = -Math.min(6, 2 * (times - 1) + (times >= 3 ? 2 : 0))
  return when(times > 1, weight, `At least ${Math.round(cost.low)}, where its owner agreed to ${Math.round(consent.upTo)}.`)
}

/** How assemblies of that age turn out: sound, wanting work, lost. Our own guess, common practice, no source. */
const outlook: readonly (readonly [chance: number, grade: number])[] = [
  [0.55, 1],
  [0.3, 2],
  [0.15, 3],
]
/** Minutes to open and grade one that nobody has looked at, and one that only wants its grade. Common practice, no source. */
const lookMinutes = { 'not-looked': 40, 'present': 20 } as const

/**
 * What each look is worth: over how the assembly may turn out, by how much the path that would then be first is better supported than
 * the one that is first now. Source: the expected value of information (Raiffa and Schlaifer 1961).
 */
function nextLooks(input: TriageInput, ranked: readonly RankedPath[]): NextLook[] {
  const now = ranked[0]!.path
  return notSeen(input)
    .map(({ name, presence }): NextLook => {
      const minutes = lookMinutes[presence === 'present' ? 'present' : 'not-looked']
      let [changes, gain] = [0, 0]
      for (const [chance, grade] of outlook) {
        const then = rank({ ...input, assemblies: input.assemblies.map(a => (a.name === name ? { ...a, presence: 'present', grade } : a)) })
        if (then[0]!.path === now) continue
        changes += chance
        gain += chance * (then[0]!.balance - then.find(p => p.path === now)!.balance)
      }
      return { name, minutes, changes, gainPerHour: (gain * 60) / minutes }
    })
    .filter(look => look.gainPerHour > 0)
    .sort((a, b) => b.gainPerHour - a.gainPerHour)
}

/** What is weighed for each path. */
interface Weighed extends TriageInput {
  lost: TriageInput['assemblies']
  lostForGood: TriageInput['assemblies']
  poor: TriageInput['assemblies']
  sound: TriageInput['assemblies']
  unseen: ReturnType<typeof notSeen>
  seenShare: number
  /** Nothing of it is there. */
  gone: boolean
  /** Of what was looked at, how much is lost. */
  share: number
  long: number
  wants: boolean
  matters: number
}
function weighed(input: TriageInput): Weighed {
  const { assemblies, significance: s, hours } = input
  const lost = assemblies.filter(a => a.presence === 'missing' || a.grade === 3)
  const unseen = notSeen(input)
  // What nobody has looked at is neither lost nor sound: it does not count.
  const seen = assemblies.length - unseen.length
  return {
    ...input,
    lost,
    lostForGood: lost.filter(a => a.irreplaceable),
    poor: assemblies.filter(a => a.grade === 2),
    sound: assemblies.filter(a => a.presence === 'present' && a.grade !== null && a.grade <= 1),
    unseen,
    seenShare: assemblies.length ? 1 - unseen.length / assemblies.length : 1,
    gone: assemblies.length > 0 && assemblies.every(a => a.presence === 'missing'),
    share: seen ? lost.length / seen : 0,
    long: (hours.low + hours.high) / 2,
    wants: s.show >= 2,
    matters: Math.max(s.historic, s.research, s.rarity),
  }
}
/** A term of no weight is none: it is left out where the paths are ranked. */
const when = (is: boolean, weight: number, says: string): Term[] => (is ? [{ weight, says }] : [])
const always = (weight: number, says: string): Term[] => when(true, weight, says)

const termsOf: Record<Path, (w: Weighed) => Term[]> = {
  'run-again': ({ lost, lostForGood, poor, unseen, seenShare, share, long, wants, hours, cost, currency = 'EUR', sisters, significance: s }) => [
    ...always(s.show * 0.8, `What it can show running: ${s.show} of 3.`),
    ...when(!lost.length, 2 * seenShare, unseen.length ? 'Nothing essential is lost, of what was looked at.' : 'Nothing essential is lost.'),
    ...when(lost.length > 0, -2.5 * share - 0.5, `Lost or missing: ${list(lost.map(a => a.name))}.`),
    ...when(lostForGood.length > 0, -3, `Cannot be replaced: ${list(lostForGood.map(a => a.name))}.`),
    ...always(-0.3 * poor.length, `Wants work: ${list(poor.map(a => a.name))}.`),
    ...when(long > 40, -Math.min(2, long / 60), `${hours.low} to ${hours.high} hours of work.`),
    ...when(cost.high > 200, -Math.min(1.5, cost.high / 400), `Parts for up to ${money(Math.round(cost.high), currency)}.`),
    ...when(sisters.running > 0 && !wants, -0.5, 'A sister runs already.'),
    ...when(sisters.running === 0 && sisters.wanting > 0, 0.5, 'None of its sisters runs.'),
  ],
  'run-with-substitutes': ({ lost, lostForGood, poor, share, long, hours, significance: s }) => [
    ...always(s.show * 0.7, `What it can show running: ${s.show} of 3.`),
    ...when(lostForGood.length > 0, 1.8, `Original parts cannot be had: ${list(lostForGood.map(a => a.name))}.`),
    ...when(lost.length > 0 && !lostForGood.length, 0.6, `A substitute is quicker for: ${list(lost.map(a => a.name))}.`),
    ...when(s.research === 3 || s.rarity === 3, -1.2, 'So rare or telling that what is foreign in it misleads.'),
    ...when(long > 60, -Math.min(1.5, long / 80), `${hours.low} to ${hours.high} hours of work.`),
    ...always(-0.2 * poor.length, `Wants work: ${list(poor.map(a => a.name))}.`),
    ...when(share > 0.5, -1.5, 'More than half of it would be foreign.'),
  ],
  'display-only': ({ lost, gone, share, long, wants, hours, sisters, significance: s }) => [
    ...always(s.historic * 0.6, `Its history: ${s.historic} of 3.`),
    ...when(s.completeness >= 2, 0.6, 'It is complete to look at.'),
    ...when(gone, -4, 'Nothing of it is there to be shown.'),
    ...when(share >= 0.3 && !gone, 0.8, `Too much is lost to run it: ${list(lost.map(a => a.name))}.`),
    ...when(sisters.running > 0, 0.8, 'A sister can be run in its place.'),
    ...when(wants, -0.8, 'It makes little sense standing still.'),
    ...when(long > 60, 0.6, `${hours.low} to ${hours.high} hours would be spared.`),
  ],
  'conserve': ({ lost, wants, matters, significance: s }) => [
    ...when(matters >= 2, matters - 1, `Significance: ${matters} of 3 for history, research or rarity.`),
    ...when(s.research >= 2, 0.7, 'Its state as found can still be studied.'),
    ...when(s.rarity === 3, 0.8, 'The only one known.'),
    ...when(lost.length > 0 && matters >= 2, 0.5, 'What is lost would be guessed at.'),
    ...when(wants, -0.7, 'It makes little sense standing still.'),
    ...when(matters < 2, -0.8, 'Little would be kept that its sisters do not keep.'),
  ],
  'donor': ({ lost, sound, share, matters, sisters, ours, consent, significance: s }) => [
    ...when(share > 0.3, 1.5 * share, `Lost or missing: ${list(lost.map(a => a.name))}.`),
    ...when(
      sound.length > 0,
      Math.min(1.5, 0.5 * sisters.wanting),
      `${sisters.wanting === 1 ? 'A sister wants' : `${sisters.wanting} sisters want`} parts; sound here: ${list(sound.map(a => a.name))}.`,
    ),
    ...always(-matters, `Significance: ${matters} of 3 for history, research or rarity.`),
    ...when(s.completeness === 3, -1, 'It is whole.'),
    ...when(!ours && !consent?.allowed.includes('donor'), -5, 'It is not ours to take apart.'),
    ...when(sisters.running + sisters.wanting === 0, -1.5, 'No sister would gain from it.'),
  ],
  'back-to-owner': ({ lostForGood, cost, consent }) => [
    ...when(!consent, 1.5, 'What its owner agrees to is not recorded.'),
    ...when(!!consent && cost.low > consent.upTo, 2, 'It costs more than its owner agreed to.'),
    ...when(lostForGood.length > 0, 0.8, `Cannot be replaced: ${list(lostForGood.map(a => a.name))}.`),
    ...when(
      !!consent?.allowed.includes('repair') && cost.high <= (consent?.upTo ?? 0),
      -1.5,
      'The owner wants it repaired, and the cost is within what was approved.',
    ),
  ],
}
const termsFor = (path: Path, input: TriageInput): Term[] => termsOf[path](weighed(input))

/** Tries one change after the other and keeps those that bring another path to the head. */
function whatWouldChange(input: TriageInput, first: Path): TriageResult['wouldChange'] {
  const assembly = (name: string, change: Partial<TriageInput['assemblies'][number]>) => ({
    ...input,
    assemblies: input.assemblies.map(a => (a.name === name ? { ...a, ...change } : a)),
  })
  const tries: { says: string; with: TriageInput }[] = [
    ...input.assemblies
      .filter(a => a.presence === 'missing' || a.grade === 3)
      .map(a => ({ says: `A sound one is found: ${lower(a.name)}.`, with: assembly(a.name, { presence: 'present', grade: 1, irreplaceable: false }) })),
    ...input.assemblies
      .filter(a => a.irreplaceable)
      .map(a => ({ says: `It can be replaced after all: ${lower(a.name)}.`, with: assembly(a.name, { irreplaceable: false }) })),
    ...input.assemblies
      .filter(a => (a.grade ?? 0) < 3 && a.presence !== 'missing')
      .map(a => ({
        says: `It turns out to be lost for good: ${lower(a.name)}.`,
        with: assembly(a.name, { presence: 'present', grade: 3, irreplaceable: true }),
      })),
    { says: 'It takes half the hours.', with: { ...input, hours: { low: input.hours.low / 2, high: input.hours.high / 2 } } },
    { says: 'It takes twice the hours.', with: { ...input, hours: { low: input.hours.low * 2, high: input.hours.high * 2 } } },
    { says: 'Parts cost half.', with: { ...input, cost: { low: input.cost.low / 2, high: input.cost.high / 2 } } },
    { says: 'Parts cost twice as much.', with: { ...input, cost: { low: input.cost.low * 2, high: input.cost.high * 2 } } },
    ...(Object.keys(significanceCriteria) as Criterion[]).flatMap(c =>
      [1, -1]
        .filter(by => input.significance[c] + by >= 0 && input.significance[c] + by <= 3)
        .map(by => ({
          says: `${significanceCriteria[c].title} is judged ${input.significance[c] + by} instead of ${input.significance[c]}.`,
          with: { ...input, significance: { ...input.significance, [c]: input.significance[c] + by } },
        })),
    ),
    ...(input.sisters.running === 0 ? [{ says: 'A sister is made to run first.', with: { ...input, sisters: { ...input.sisters, running: 1 } } }] : []),
    ...(input.ours
      ? []
      : [
          {
            says: 'Its owner agrees to the work and its cost.',
            with: { ...input, consent: { allowed: [...new Set(Object.values(worksOf).flat())], upTo: input.cost.high, mustAsk: '' } },
          },
        ]),
  ]
  return tries.flatMap(({ says, with: changed }) => {
    const to = rank(changed)[0]!.path
    return to === first ? [] : [{ says, to }]
  })
}
