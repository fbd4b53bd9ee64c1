import type { MachineRecord } from '#core/kernel/machine'
import type { ChapterName, CollectionCommandName, CommandInput, MachineCommandName, ViewOf } from '#shared/chapters/index'
import type { CollectionInput, Searched, ServerChapter } from '../kernel/chapter'
import type { MachineFile, ViewInput } from '../kernel/file'
import type { Loaded } from '../kernel/rows'
import type { MachineWork, Work } from '../kernel/work'
import { once } from '../kernel/once'
import { arriveChapter, arriveFacts, arriveView } from './arrive/index'
import { cleaningChapter, cleaningFacts, cleaningView } from './cleaning/index'
import { continuityChapter, continuityFacts, continuityView } from './continuity/index'
import { faultsChapter, faultsFacts, faultsView } from './faults/index'
import { homeChapter, homeView } from './home/index'
import { listsChapter } from './lists/index'
import { lookChapter, lookFacts, lookView } from './look/index'
import { modelsChapter } from './models/index'
import { openingChapter, openingFacts, openingView } from './opening/index'
import { partsChapter, partsFacts, partsView } from './parts/index'
import { peopleChapter } from './people/index'
import { planChapter } from './plan/index'
import { powerChapter, powerFacts, powerView } from './power/index'
import { practiceChapter } from './practice/index'
import { printingChapter } from './printing/index'
import { provingChapter, provingFacts, provingView } from './proving/index'
import { recordChapter } from './record/index'
import { sharingChapter, sharingFacts, sharingView } from './sharing/index'
import { startsChapter, startsView } from './starts/index'
import { stewardshipChapter, stewardshipFacts, stewardshipView } from './stewardship/index'
import { suppliesChapter } from './supplies/index'
import { waitsChapter } from './waits/index'
import { workshopChapter, workshopView } from './workshop/index'

/**
 * Every chapter on the server, in the order of the work; what follows only hands on. Chapters and kernel know of each other,
 * so the list is put together when it is asked for first, once all of them have been loaded.
 */
const chapters = once((): ServerChapter[] => [
  arriveChapter,
  stewardshipChapter,
  lookChapter,
  openingChapter,
  powerChapter,
  startsChapter,
  waitsChapter,
  cleaningChapter,
  workshopChapter,
  faultsChapter,
  continuityChapter,
  partsChapter,
  provingChapter,
  homeChapter,
  sharingChapter,
  printingChapter,
  planChapter,
  recordChapter,
  practiceChapter,
  peopleChapter,
  modelsChapter,
  suppliesChapter,
  listsChapter,
])

type OnMachine = { [N in MachineCommandName]: (work: MachineWork, input: CommandInput<N>) => unknown }
type OnCollection = { [N in CollectionCommandName]: (work: Work, input: CollectionInput<N>) => unknown }
/** What carries each command out. */
export const onMachine = once(() => Object.assign({}, ...chapters().map(c => c.onMachine)) as OnMachine)
export const onCollection = once(() => Object.assign({}, ...chapters().map(c => c.onCollection)) as OnCollection)

/** Names that are kept with a machine and are nobody's outside. */
export const privateWordsOf = (file: MachineFile) => chapters().flatMap(c => c.privateWords?.(file) ?? [])

/** What is loaded with a machine. */
export const loadedRows = once(() => Object.assign({}, ...chapters().map(c => c.rows)) as Record<string, Loaded>)

/** What the core is told of a machine. */
export const recordOf = (file: MachineFile): MachineRecord => ({
  stage: file.machine.stage,
  life: file.machine.life,
  ...arriveFacts(file),
  ...stewardshipFacts(file),
  ...lookFacts(file),
  ...openingFacts(file),
  ...powerFacts(file),
  ...cleaningFacts(file),
  ...faultsFacts(file),
  ...continuityFacts(file),
  ...partsFacts(file),
  ...provingFacts(file),
  ...sharingFacts(file),
})

/** What of a machine is searched. */
export function searchOf(file: MachineFile): Required<Searched> {
  const found = chapters().flatMap(c => (c.search ? [c.search(file)] : []))
  const all = (where: keyof Searched) => found.flatMap(f => f[where] ?? [])
  return { names: all('names'), claims: all('claims'), notes: all('notes'), faults: all('faults') }
}

/** Tables whose rows a correction can take back, by the name that the history knows them under. */
export const strikeable = once(
  () => Object.assign({}, ...chapters().map(c => c.strikeable)) as Record<string, NonNullable<ServerChapter['strikeable']>[string] | undefined>,
)

const nothing = () => ({})
/** What the sheet of a machine shows of each chapter. */
export const views = once((): { [C in ChapterName]: (input: ViewInput) => ViewOf<C> } => ({
  arrive: arriveView,
  stewardship: stewardshipView,
  look: lookView,
  opening: openingView,
  power: powerView,
  starts: startsView,
  waits: nothing,
  cleaning: cleaningView,
  workshop: workshopView,
  faults: faultsView,
  continuity: continuityView,
  parts: partsView,
  proving: provingView,
  home: homeView,
  sharing: sharingView,
  printing: nothing,
  plan: nothing,
  record: nothing,
  practice: nothing,
  people: nothing,
  models: nothing,
  supplies: nothing,
  lists: nothing,
}))
