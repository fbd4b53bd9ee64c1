import { serverChapter } from '../../kernel/chapter'
import * as schema from './schema'
import { facts } from './facts'
import { cleaningView } from './view'
import {
  addCleaningStep,
  chooseCleaningSchools,
  doCleaningStep,
  dropCleaningPart,
  findContamination,
  giveCleaningStep,
  leaveCleaningStep,
  reopenCleaningStep,
  logBreakage,
  makeCleaningPlan,
  recordCleaning,
  sayCleaningPart,
  stepContamination,
  takeOverParts,
} from './carry-out'
import { endDrying, endWhitening, expose, followWhitening, importExposures, measureColour, startDrying, weigh } from './follow'
import { countBack, countOut, findBareCopper, sealCopper } from './loose'
import { rows } from './rows'
import { bareCoppers, cleanings, contaminations, weighings, whiteningColours, whiteningExposures } from './schema'

/** Clean: what can be done, and what is loaded with a machine. */
export const cleaningChapter = serverChapter({
  name: 'cleaning',
  schema,
  facts,
  view: cleaningView,
  onMachine: {
    'record-cleaning': recordCleaning,
    'say-cleaning-part': sayCleaningPart,
    'drop-cleaning-part': dropCleaningPart,
    'choose-cleaning-schools': chooseCleaningSchools,
    'make-cleaning-plan': makeCleaningPlan,
    'take-over-parts': takeOverParts,
    'add-cleaning-step': addCleaningStep,
    'do-cleaning-step': doCleaningStep,
    'leave-cleaning-step': leaveCleaningStep,
    'reopen-cleaning-step': reopenCleaningStep,
    'give-cleaning-step': giveCleaningStep,
    'log-breakage': logBreakage,
    'find-contamination': findContamination,
    'step-contamination': stepContamination,
    'find-bare-copper': findBareCopper,
    'seal-copper': sealCopper,
    'count-parts-out': countOut,
    'count-parts-back': countBack,
    'start-drying': startDrying,
    'weigh': weigh,
    'end-drying': endDrying,
    'follow-whitening': followWhitening,
    'measure-colour': measureColour,
    'expose': expose,
    'import-exposures': importExposures,
    'end-whitening': endWhitening,
  },
  rows,
  strikeable: { bareCoppers, cleanings, contaminations, weighings, whiteningColours, whiteningExposures },
})
export * from './carry-out'
export * from './follow'
export * from './schema'
export * from './view'
