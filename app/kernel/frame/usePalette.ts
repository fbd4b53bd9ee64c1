import { useColorMode } from '@vueuse/core'
import { stageNames, stages } from '#core/kernel/stages'
import { cardsOf } from './cards'

/** Something that can be done from everywhere by typing the beginning of its name. */
export interface PaletteAction {
  says: string
  /** Other words that people look for it by. */
  also?: readonly string[]
  /** What it is about: the open machine, or a place. */
  of: string
  act: () => void
}

export const places = [
  { to: '/', name: 'Today' },
  { to: '/store', name: 'Store' },
  { to: '/parts', name: 'Parts' },
  { to: '/workshop', name: 'Workshop' },
  { to: '/models', name: 'Models' },
  { to: '/tools', name: 'Tool wall' },
  { to: '/settings', name: 'Settings' },
]

/** So many are offered above the machines. */
const mostOffered = 8
/** The instruments by their names, once somebody types: their list is long, and few need it. */
const instruments = shallowRef<{ id: string; title: string }[]>()

/** Whether a name, a word in it, or another word for it begins like this. */
const fits = ({ says, also = [] }: PaletteAction, begins: string) =>
  [says, ...says.split(/[ -]/), ...also].some(words => words.toLowerCase().startsWith(begins))

/**
 * What can be done that begins with what was typed: with the open machine first (its bench sheets, stages and cards), then the places, what the bench does
 * from everywhere, the people, and the instruments.
 */
export function usePalette() {
  const route = useRoute()
  const session = useSession()
  const bench = useBenchSheets()
  const mode = useColorMode({ attribute: 'data-theme', storageKey: 'jolly-bench-theme' })
  return (typed: string): PaletteAction[] => {
    const begins = typed.trim().toLowerCase()
    if (!begins) return []
    if (!instruments.value) void import('#shared/tools/index').then(all => (instruments.value = all.tools.map(({ id, title }) => ({ id, title }))))
    const tag = route.params.tag ? String(route.params.tag) : ''
    const ofMachine: PaletteAction[] = tag
      ? [
          ...bench.sheets.value
            .filter(sheet => session.may(sheet.may))
            .map(({ name, title }) => ({ says: title, of: tag, act: () => void (bench.open.value = name) })),
          ...stages.map(stage => ({ says: stageNames[stage], of: tag, act: () => void navigateTo({ path: `/m/${tag}`, query: { stage } }) })),
          ...stages.flatMap(stage =>
            Object.entries(cardsOf[stage]).map(([card, also]) => ({
              says: card,
              also,
              of: stageNames[stage],
              act: () => void navigateTo({ path: `/m/${tag}`, query: { stage, card } }),
            })),
          ),
          { says: 'Bench print', also: ['print', 'paper'], of: tag, act: () => void navigateTo(`/m/${tag}/bench`) },
          { says: 'Label', of: tag, act: () => void navigateTo({ path: '/labels', query: { tags: tag } }) },
        ]
      : []
    const ofPlaces = places.map(({ to, name }) => ({ says: name, of: 'place', act: () => void navigateTo(to) }))
    const fromEverywhere: PaletteAction[] = [
      ...(session.may('book-in') ? [{ says: 'Book in a machine', also: ['new', 'arrive'], of: 'do', act: () => void navigateTo('/book-in') }] : []),
      { says: 'Scan codes', also: ['camera', 'label', 'put here', 'barcode'], of: 'do', act: () => void navigateTo('/scan') },
      { says: 'I am here', also: ['tonight', 'evening'], of: 'do', act: () => void navigateTo('/') },
      {
        says: mode.value === 'dark' ? 'Light' : 'Dark',
        also: ['theme', 'colours'],
        of: 'do',
        act: () => (mode.value = mode.value === 'dark' ? 'light' : 'dark'),
      },
      { says: 'Sign out', also: ['log out', 'leave'], of: 'do', act: () => void session.signOut().then(async () => void (await navigateTo('/sign-in'))) },
    ]
    const ofPeople = session.crew.map(({ id, name }) => ({
      says: name,
      of: 'machines they worked on',
      act: () => void navigateTo({ path: '/store', query: { person: String(id) } }),
    }))
    const ofTools = (instruments.value ?? []).map(({ id, title }) => ({ says: title, of: 'instrument', act: () => void navigateTo(`/tools/${id}`) }))
    return [...ofMachine, ...ofPlaces, ...fromEverywhere, ...ofPeople, ...ofTools].filter(a => fits(a, begins)).slice(0, mostOffered)
  }
}
