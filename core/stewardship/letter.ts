import { money } from './consent'

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
          `So far ${money(about.spentSoFar, currency)} have been spent; ${agreedUpTo === null ? 'no limit has been agreed yet' : `you agreed to ${money(agreedUpTo, currency)}`}.`,
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
