import { commonPractice, finding } from '../../kernel/finding'
import { discipline } from '../../kernel/discipline'
import { heard } from '../../kernel/heard'

/** An assembly that is at somebody's home, or on another's bench. */
export interface Away {
  assembly: string
  holder: string
  what: string
  backBy: string
}
export interface CustodyRecord {
  away: readonly Away[]
}
export interface CustodyFacts {
  /** Assemblies that are away, by their names. */
  awayFromHouse: string[]
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
  heard: ({ away }) =>
    away.map(({ assembly, holder, what }) =>
      heard(
        finding(
          'care',
          `custody.away.${assembly}`,
          `${assembly} is not here: ${holder} has it.`,
          [`For this: ${what}.`, 'What is read without it says nothing of the whole machine, and what is done to it there is not known here yet.'],
          commonPractice,
        ),
        `Get ${assembly.toLowerCase()} back, look it over, and say so.`,
      ),
    ),
})
