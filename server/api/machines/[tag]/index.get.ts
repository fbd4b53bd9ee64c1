import { getQuery, getRouterParam } from 'h3'
import { InputError } from '#core/kernel/input-error'
import { type ChapterName, chapterNames } from '#shared/chapters/index'
import { machineSheet } from '../../../kernel/sheet'

/** The sheet of a machine: its head, and the chapters named in `?show=arrive,look`; every chapter where none is named. */
export default defineAnswer(async event => {
  await requirePerson(event)
  return machineSheet(useBench(), getRouterParam(event, 'tag', { decode: true }) ?? '', chaptersIn(getQuery(event).show))
})

function chaptersIn(show: unknown): ChapterName[] {
  if (typeof show !== 'string') return chapterNames
  return show
    .split(',')
    .filter(Boolean)
    .map(name => {
      const known = chapterNames.find(c => c === name)
      if (!known) throw new InputError('show', name, `There is no chapter “${name.slice(0, 40)}”. Known are ${chapterNames.join(', ')}.`)
      return known
    })
}
