import { fileURLToPath } from 'node:url'

const room = name => fileURLToPath(new URL(`../../${name}`, import.meta.url))

/** What the kernel of the app stands on in the other rooms; it comes with every page, and brings neither contracts nor mathematics. */
const underKernel =
  /\/core\/(kernel\/(days|figure|money|quantity|finding|input-error|stages|skills)|safety\/(cautions|gate-words|growing-harm)|condition\/damage)\.ts|\/shared\/kernel\/(answers|may-wait|roles|history-parts|photograph-sizes)\.ts/
/** Of the kernel of the app, what not every page shows. */
const seldom =
  /LineChart|LinesBox|WorkPress|useSentInstrument|QrCode|ShortcutHelp|InstrumentFace|BeforeAfter|ChangeableRow|PictureInputs|ProposedChoice|LinesField|MachineFinder|useBeside|Day(Calendar|Field|Input)|MomentField|kernel\/sheet\//
/** What a form stands on: it comes with the first form, for most pages open with none. */
const ofForms =
  /\/app\/kernel\/(ui\/(CommandForm|TwoVersions|FieldFrame|(Text|Choice|Pick|Tick|Ticks|Measure|Select)Field|MinusKey)\.vue|forms\/(contracts|flat|merge|needed|turned|useFormContext|useRowErrors|useTypedField|zodForForms)\.ts)|node_modules\/(vee-validate|@headlessui\/vue\/dist\/components\/(listbox|radio-group|switch))\//
/** Of the packages, what only those ask for who read days as they are typed; and the list of all, which would bring them along. */
const readingDays = /\/date-fns\/(index|parse\.|parse\/|closestTo|eachDay|endOf|set(Day|ISO|Week)|addMonths|transpose|getISODay)/

/**
 * The file of the application that a module goes into, with what it imports; nothing where it goes with whoever asks for it.
 * What goes into the kernel imports none of the contracts, which stand on it: two pieces that wait for each other start no page.
 */
export function pieceOf(id) {
  if (readingDays.test(id)) return 'days'
  if (ofForms.test(id)) return 'forms'
  if (/node_modules\/(vue|@vue|vue-router|pinia|@pinia|@vueuse|@headlessui|date-fns|@date-fns|uuid)\//.test(id))
    return /combobox/.test(id) ? 'finder' : 'vendor'
  if (/@tanstack\/(vue-virtual|virtual-core)/.test(id)) return 'finder'
  if (underKernel.test(id) || (id.startsWith(room('app/kernel')) && !seldom.test(id))) return 'kernel'
  return /node_modules\/zod\//.test(id) || (id.startsWith(room('shared')) && !/\/words\.ts|\/shared\/tools\//.test(id)) ? 'contracts' : undefined
}
