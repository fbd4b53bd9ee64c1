import { type RowsOf, all, single, standing } from '../../kernel/rows'
import {
  cleaningParts,
  cleaningSchools,
  cleaningSteps,
  cleanings,
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
  dryings: all(dryings),
  weighings: standing(weighings),
  whitenings: all(whitenings),
  whiteningColours: standing(whiteningColours),
  whiteningExposures: standing(whiteningExposures),
}
export type CleaningRows = RowsOf<typeof rows>
