import { type JudgedRail, type Load, judgeRails } from '#core/power/rails'
import type { SheetOf } from '#shared/chapters/index'

/** What a rail would be with one more reading beside those that were taken here; nothing for one that is not expected. @throws InputError */
export function railJudged(sheet: SheetOf<'power'>, name: string, valueV: number, load: Load): JudgedRail | undefined {
  const taken = (of: string) => sheet.readings.filter(r => r.here && r.rail === of)
  const rails = sheet.expectedRails.map(r => ({ ...r, readings: r.name === name ? [...taken(r.name), { valueV, load }] : taken(r.name) }))
  return judgeRails({ rails }).rails.find(r => r.name === name)
}
