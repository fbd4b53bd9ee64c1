import { type RowsOf, all, single, standing } from '../../kernel/rows'
import {
  bareCoppers,
  cleaningParts,
  cleaningSchools,
  cleaningSteps,
  cleanings,
  countedParts,
  contaminations,
  dryings,
  weighings,
  whiteningColours,
  whiteningExposures,
  whitenings,
} from './schema'

export const rows = {
  cleanings: standing(cleanings),
  cleaningSchools: single(cleaningSchools),
  cleaningParts: all(cleaningParts),
  cleaningSteps: all(cleaningSteps),
  contaminations: standing(contaminations),
  bareCoppers: standing(bareCoppers),
  countedParts: all(countedParts),
  dryings: all(dryings),
  weighings: standing(weighings),
  whitenings: all(whitenings),
  whiteningColours: standing(whiteningColours),
  whiteningExposures: standing(whiteningExposures),
}

declare module '../../kernel/file' {
  interface MachineFile extends RowsOf<typeof rows> {}
}
