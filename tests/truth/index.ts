import { captures } from './captures'
import { keyboards } from './keyboards'
import { memories } from './memories'
import type { Simulation } from './simulation'

export const simulations: readonly Simulation[] = [captures, keyboards, memories]
