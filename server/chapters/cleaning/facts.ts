import type { CleaningRecord } from '#core/cleaning/rules'
import { type CleaningSchools, usualSchools } from '#core/cleaning/words'
import type { MachineFile } from '../../kernel/file'

type Whitening = MachineFile['whitenings'][number]

/** The practice that holds for this machine, question by question. */
export const schoolsOf = ({ cleaningSchools, practice }: Pick<MachineFile, 'cleaningSchools' | 'practice'>): CleaningSchools => ({
  boards: cleaningSchools?.boards ?? practice.boardSchool ?? usualSchools.boards,
  plastic: cleaningSchools?.plastic ?? practice.plasticSchool ?? usualSchools.plastic,
})

/** The colours of a part with the hours of treatment before each, and the hours by now. */
export function coloursOf(
  { whiteningColours, whiteningExposures }: Pick<MachineFile, 'whiteningColours' | 'whiteningExposures'>,
  { id }: Pick<Whitening, 'id'>,
) {
  const exposures = whiteningExposures.filter(e => e.whiteningId === id)
  const hoursBefore = (at: string) => exposures.filter(e => e.at < at).reduce((sum, e) => sum + e.hours, 0)
  return {
    exposures,
    hours: hoursBefore('~'),
    colours: whiteningColours
      .filter(c => c.whiteningId === id)
      .map(({ id: colourId, l, a, b, error, at }) => ({ id: colourId, l, a, b, error, at, hours: hoursBefore(at) })),
  }
}

export const facts = (file: MachineFile): CleaningRecord & { contaminations: MachineFile['contaminations'] } => ({
  cleanings: file.cleanings,
  waits: file.waits,
  bookings: file.bookings,
  contaminations: file.contaminations,
  bareCoppers: file.bareCoppers,
  countedParts: file.countedParts,
  dryings: file.dryings.map(d => ({ ...d, weighings: file.weighings.filter(w => w.dryingId === d.id) })),
  cleaningSteps: file.cleaningSteps,
  whitenings: file.whitenings.map(w => {
    const { colours, hours } = coloursOf(file, w)
    return { name: w.name, endedAt: w.endedAt, relookOn: w.relookOn, hoursSinceColour: hours - (colours.at(-1)?.hours ?? 0), colours: colours.length }
  }),
})
