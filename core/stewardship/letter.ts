import { decimals } from '../kernel/figure'
import { money } from '../kernel/money'

/** What a letter to the owner of a machine tells, gathered by whoever keeps it. */
export interface LetterInput {
  collection: string
  owner: string
  machine: string
  tag: string
  writtenBy: string
  assemblies: { name: string; found: string; note: string }[]
  damages: string[]
  /** The path recommended and why. */
  path: { title: string; because: string[] } | null
  estimate: { hoursLow: number; hoursHigh: number; costLow: number; costHigh: number } | null
  currency: string
  spentSoFar: number
  agreedUpTo: number | null
  questions: string[]
  photographs: number
}

export interface Letter {
  subject: string
  paragraphs: string[]
  lists: { title: string; lines: string[] }[]
  closing: string[]
}

/** A letter to the owner: findings, estimate and the questions that only they can answer. Nothing in it says that work was agreed to. */
export function letterToOwner(about: LetterInput): Letter {
  const { collection, owner, machine, tag, estimate, currency, agreedUpTo, path, questions } = about
  const cost = (low: number, high: number) => (low === high ? money(low, currency) : `${money(low, currency)} to ${money(high, currency)}`)
  return {
    subject: `Your ${machine} (${tag}): what we found, and what we need to ask`,
    paragraphs: [
      `Dear ${owner},`,
      `Your ${machine} is with us under the number ${tag}. This is what we have found so far.${about.photographs ? ` ${about.photographs === 1 ? 'A photograph is' : `${about.photographs} photographs are`} enclosed.` : ''}`,
    ],
    lists: [
      { title: 'Its parts', lines: about.assemblies.map(a => `${a.name}: ${a.found}${a.note && ` (${a.note})`}`) },
      { title: 'Damage', lines: about.damages },
      { title: 'What we would do', lines: path ? [`${path.title}.`, ...path.because] : [] },
      {
        title: 'What it would take',
        lines: [
          ...(estimate
            ? [
                `About ${estimate.hoursLow} to ${estimate.hoursHigh} hours of volunteers’ work, at no charge.`,
                `About ${cost(estimate.costLow, estimate.costHigh)} for parts. An estimate, not a price.`,
              ]
            : []),
          `So far ${money(about.spentSoFar, currency)} has been spent; ${agreedUpTo === null ? 'no limit has been agreed yet' : `you agreed to ${money(agreedUpTo, currency)}`}.`,
        ],
      },
      { title: 'We need your answer to', lines: questions },
    ].filter(list => list.lines.length),
    closing: [
      'We spend nothing beyond what you agree to, and undo nothing that we do not understand. Until we hear from you, the machine rests.',
      'With kind regards,',
      about.writtenBy,
      collection,
    ],
  }
}

/** The letter as plain text, lines of their own for lists. */
export const letterText = ({ paragraphs, lists, closing }: Letter): string =>
  [...paragraphs, ...lists.map(({ title, lines }) => [title, ...lines.map(line => `- ${line}`)].join('\n')), ...closing].join('\n\n')

export interface ClosingInput {
  collection: string
  owner: string
  machine: string
  tag: string
  writtenBy: string
  released: string
  parts: { name: string; found: string; now: string }[]
  replaced: readonly string[]
  kept: readonly string[]
  tested: readonly string[]
  limits: string
  odd: readonly string[]
  /** What is not done: a build-up that goes on, waits, lines not tested. Nothing may be called done beside it. */
  open: readonly string[]
  hoursWorked: number
  spent: number
  agreedUpTo: number | null
  currency: string
}

/** A closing letter to the owner: how it came and how it goes, what was replaced, what is kept, what is left odd. It promises nothing. */
export function closingLetter(about: ClosingInput): Letter {
  const { collection, owner, machine, tag, currency, agreedUpTo } = about
  return {
    subject: `Your ${machine} (${tag}): how it came, and how it goes`,
    paragraphs: [
      `Dear ${owner},`,
      about.open.length
        ? `This is how your ${machine}, number ${tag}, stands with us. Our work on it is not finished; what is open is named below. ${about.released}`
        : `Our work on your ${machine}, number ${tag}, has come to its end. ${about.released}`,
    ],
    lists: [
      { title: 'As found, and as it goes', lines: about.parts.map(p => (p.found === p.now ? `${p.name}: ${p.now}` : `${p.name}: ${p.found}; now ${p.now}`)) },
      { title: 'Replaced and repaired', lines: [...about.replaced] },
      { title: 'Original parts that go with it', lines: [...about.kept] },
      { title: 'What was tested', lines: [...about.tested, ...(about.limits ? [`It was signed off ${about.limits}.`] : [])] },
      { title: 'What is not finished', lines: [...about.open] },
      { title: 'What is left odd', lines: [...about.odd] },
      {
        title: 'What it took',
        lines: [
          `About ${decimals(about.hoursWorked, 1)} hours of volunteers’ work that were noted, at no charge.`,
          `${money(about.spent, currency)} for parts${agreedUpTo === null ? '' : `; you had agreed to ${money(agreedUpTo, currency)}`}.`,
        ],
      },
    ].filter(list => list.lines.length),
    closing: [
      'This says what was checked here, and when. It does not say that the machine is safe where you are: have it looked at by trained people before it is switched on.',
      'With kind regards,',
      about.writtenBy,
      collection,
    ],
  }
}
