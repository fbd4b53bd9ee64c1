import { discipline } from '../kernel/discipline'
import { step } from '../kernel/step'

/** What the records say of where a machine comes from. */
export interface IdentifyRecord {
  machine: { maker: string; fromWhom: string; lastPowered: string; lastPoweredWhat: string }
  /** Whether it belongs to a known model. */
  modelKnown: boolean
  accessories: readonly unknown[]
}

export interface IdentifyFacts {
  identified: boolean
  provenanceKnown: boolean
  lastPoweredKnown: boolean
  accessoriesNoted: boolean
}

const identifyFacts = ({ machine, modelKnown, accessories }: IdentifyRecord): IdentifyFacts => ({
  identified: modelKnown || machine.maker !== '',
  provenanceKnown: machine.fromWhom !== '',
  lastPoweredKnown: machine.lastPowered !== '' || machine.lastPoweredWhat !== '',
  accessoriesNoted: accessories.length > 0,
})

declare module '../kernel/machine' {
  interface MachineRecord extends IdentifyRecord {}
  interface MachineKnown extends IdentifyFacts {}
}

/** Booking in is done once it is known what it is, where it came from, when it last ran and what came with it. */
export const identify = discipline({
  name: 'identify',
  about: 'where it comes from',
  facts: identifyFacts,
  unknown: { identified: false, provenanceKnown: false, lastPoweredKnown: false, accessoriesNoted: false },
  steps: {
    arrive: m => [
      step('What it is', m.identified),
      step('Where it came from', m.provenanceKnown),
      step('When it last ran', m.lastPoweredKnown),
      step('What came with it', m.accessoriesNoted),
    ],
  },
})
