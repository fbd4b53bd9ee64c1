import { stageNames, stages } from '#core/kernel/stages'

/** Something that can be done from everywhere by typing the beginning of its name. */
export interface PaletteAction {
  says: string
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

/** What can be done that begins with what was typed: with the open machine first, then the places. */
export function usePalette() {
  const route = useRoute()
  const session = useSession()
  const bench = useBenchSheets()
  return (typed: string): PaletteAction[] => {
    const begins = typed.trim().toLowerCase()
    if (!begins) return []
    const tag = route.params.tag ? String(route.params.tag) : ''
    const ofMachine: PaletteAction[] = tag
      ? [
          ...bench.sheets.value
            .filter(sheet => session.may(sheet.may))
            .map(({ name, title }) => ({ says: title, of: tag, act: () => void (bench.open.value = name) })),
          ...stages.map(stage => ({ says: stageNames[stage], of: tag, act: () => void navigateTo({ path: `/m/${tag}`, query: { stage } }) })),
          { says: 'Label', of: tag, act: () => void navigateTo({ path: '/labels', query: { tags: tag } }) },
        ]
      : []
    const ofPlaces = places.map(({ to, name }) => ({ says: name, of: 'place', act: () => void navigateTo(to) }))
    return [...ofMachine, ...ofPlaces].filter(a => a.says.toLowerCase().startsWith(begins))
  }
}
