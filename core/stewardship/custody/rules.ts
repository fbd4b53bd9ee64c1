import { commonPractice, finding } from '../../kernel/finding'
import { discipline } from '../../kernel/discipline'
import { contradiction, heard, slug } from '../../kernel/heard'
import { skills } from '../../kernel/skills'

/** An assembly that is at somebody's home, or on another's bench. */
export interface Away {
  assembly: string
  holder: string
  what: string
  backBy: string
}
/** An assembly that came from another machine. */
export interface Came {
  assembly: string
  from: string
  /** What is on record there that may have come along: batteries, what got in, open faults. */
  known: string
  /** When it was looked over here; nothing while nobody did. */
  lookedAt: string | null
}
export interface CustodyRecord {
  away: readonly Away[]
  cameHere: readonly Came[]
}
export interface CustodyFacts {
  /** Assemblies that are away, by their names. */
  awayFromHouse: string[]
}

/**
 * What is on record of a machine that may go along with a part of it, for nobody wrote down on which board a battery sits: batteries that are in or
 * were not sound, what got in and is not gone, faults that are open. @returns a line, cut to what a record keeps; empty where there is nothing
 */
export function mayGoAlong({
  batteries,
  contaminations,
  faults,
}: {
  batteries: readonly { where: string; chemistry: string; fitted: boolean; state: string }[]
  contaminations: readonly { kind: string; where: string; state: string }[]
  faults: readonly { symptom: string; open: boolean }[]
}): string {
  const plain = (name: string) => name.replaceAll('-', ' ')
  return [
    ...batteries.filter(one => one.fitted || one.state !== 'sound').map(one => `battery ${one.where}, ${plain(one.chemistry)}`),
    ...contaminations.filter(one => one.state !== 'gone').map(one => `${plain(one.kind)}, ${one.where}`),
    ...faults.filter(one => one.open).map(one => one.symptom),
  ]
    .join('; ')
    .slice(0, 500)
}

declare module '../../kernel/machine' {
  interface MachineRecord extends CustodyRecord {}
  interface MachineKnown extends CustodyFacts {}
}

/** What of a machine is away from the house: it is not whole without it, and the gate hears of each. */
export const custody = discipline({
  name: 'custody',
  about: 'what of it is away',
  facts: ({ away }): CustodyFacts => ({ awayFromHouse: away.map(one => one.assembly) }),
  unknown: { awayFromHouse: [] },
  heard: ({ away, cameHere }) => [
    ...away.map(({ assembly, holder, what }) =>
      heard(
        finding(
          'care',
          `custody.away.${slug(assembly)}`,
          `${assembly} is not here: ${holder} has it.`,
          [`For this: ${what}.`, 'What is read without it says nothing of the whole machine, and what is done to it there is not known here yet.'],
          commonPractice,
        ),
        `Get ${assembly.toLowerCase()} back, look it over, and say so.`,
      ),
    ),
    // What was answered of this machine was said of it as it was.
    ...cameHere
      .filter(one => one.lookedAt === null)
      .map(({ assembly, from, known }) =>
        contradiction(
          `custody.came.${slug(assembly)}`,
          `${assembly} came from ${from}, and nobody has looked it over here.`,
          [...(known ? [`On record there: ${known}.`] : []), 'What was said of this machine before says nothing of it: its battery, what got in, what burnt.'],
          `Look ${assembly.toLowerCase()} over: battery, dirt and liquid, burns, what is loose; note each, and say so.`,
          { who: skills.inspection.who, leave: 'inspection' },
        ),
      ),
  ],
})
