import { cleaning } from '../cleaning/rules'
import { condition } from '../condition/rules'
import { continuity } from '../continuity/rules'
import { diagnosis } from '../diagnosis/rules'
import { identify } from '../identify/rules'
import { inventory } from '../identify/inventory/rules'
import { opening } from '../opening/rules'
import { parts } from '../parts/rules'
import { recap } from '../parts/recap/rules'
import { power } from '../power/rules'
import { retest } from '../retest/rules'
import { safety } from '../safety/rules'
import { custody } from '../stewardship/custody/rules'
import { stewardship } from '../stewardship/rules'
import { sharing } from '../sharing/rules'
import type { Discipline } from '../kernel/discipline'
import { home } from './rules'

/** Every discipline, in the order in which their steps stand within a stage. */
export const disciplines: Discipline[] = [
  identify,
  stewardship,
  condition,
  inventory,
  custody,
  opening,
  safety,
  cleaning,
  diagnosis,
  continuity,
  parts,
  recap,
  power,
  retest,
  sharing,
  home,
]
