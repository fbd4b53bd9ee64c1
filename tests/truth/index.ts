import { captures } from './captures'
import type { Simulation } from './simulation'

export const simulations: readonly Simulation[] = [captures]
