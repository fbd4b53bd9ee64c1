import { capacitors } from './capacitors'
import { captures } from './captures'
import { dryings } from './dryings'
import { growths } from './growths'
import { keyboards } from './keyboards'
import { memories } from './memories'
import { photographs } from './photographs'
import type { Simulation } from './simulation'
import { swaps } from './swaps'
import { whitenings } from './whitenings'

export const simulations: readonly Simulation[] = [capacitors, captures, keyboards, memories, whitenings, dryings, photographs, growths, swaps]
