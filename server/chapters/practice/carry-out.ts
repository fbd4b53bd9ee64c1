import { checkTagPattern } from '#core/identify/tag'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/chapters/index'
import { PracticeRow } from '#shared/chapters/practice/index'
import { eq } from 'drizzle-orm'
import type { Tx } from '../../kernel/history/journal'
import { clockConfirmed, minutesBehind } from '../../kernel/history/clock-behind'
import { NotNow } from '../../kernel/refusals'
import { expectVersion } from '../../kernel/versions'
import type { Work } from '../../kernel/work'
import { practice } from './schema'

function knownZone(zone: string): boolean {
  try {
    return Boolean(new Intl.DateTimeFormat('en-GB', { timeZone: zone }))
  } catch {
    return false
  }
}

/** The practice of the collection. @throws NotNow before the first start */
export function practiceOf(tx: Tx): typeof practice.$inferSelect {
  const row = tx.select().from(practice).get()
  if (!row) throw new NotNow('The collection has not been set up yet. Open the first page to add its coordinator.')
  return row
}

export function setPractice(work: Work, { version, ...input }: CommandInput<'set-practice'>): void {
  const before = practiceOf(work.tx)
  expectVersion(work, before, version, before.version, PracticeRow.names)
  checkTagPattern(input.numbering)
  if (!knownZone(input.zone)) throw new InputError('zone', input.zone, 'Time zone: not known here. Write it as Europe/Lisbon.')
  work.tx
    .update(practice)
    .set({ ...input, version: before.version + 1 })
    .where(eq(practice.id, 1))
    .run()
  work.write('practice.set', input)
  if (before.school !== input.school || before.batterySchool !== input.batterySchool) work.affects({ of: 'all' })
}

/** Somebody looked at the clock, and it is right. @throws NotNow where it does not stand behind, or by more than they were told */
export function confirmClock({ tx, now, write }: Work, { minutes }: CommandInput<'confirm-clock'>): void {
  const behind = minutesBehind(tx, now)
  if (!behind) throw new NotNow('The clock is not behind the history.')
  // What they saw is what they confirm; a minute or two go by between the two.
  if (Math.abs(behind - minutes) > 15) throw new NotNow(`The clock stands ${behind} minutes behind by now. Look at it again, then confirm that.`)
  write(clockConfirmed, { minutes: behind })
}
