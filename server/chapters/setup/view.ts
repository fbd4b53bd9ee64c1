import { type Setting, compareSettings, judgeSettings, wayBack } from '#core/identify/settings/settings'
import type { ViewOf } from '#shared/chapters/index'
import { eq, inArray } from 'drizzle-orm'
import type { ViewInput } from '../../kernel/file'
import { sistersHaving } from '../../kernel/sisters-having'
import { machines } from '../../kernel/trunk'
import { settings } from './schema'

type Row = typeof settings.$inferSelect
const told = (row: Row): Setting & { id: number } => ({ ...row, pictured: row.photographId !== null })

/** How its settings were found, how they stand, the way back, and how its sisters stand. */
export function setupView({ tx, file }: ViewInput): ViewOf<'setup'> {
  const own = file.settings.map(told)
  const back = new Map(wayBack(own).map(one => [one.setting.id, one.says]))
  const sisters = own.length ? sistersHaving(tx, file, settings) : []
  const theirs = sisters.length
    ? tx
        .select({ row: settings, tag: machines.tag })
        .from(settings)
        .innerJoin(machines, eq(machines.id, settings.machineId))
        .where(
          inArray(
            machines.tag,
            sisters.map(sister => sister.tag),
          ),
        )
        .all()
    : []
  return {
    setup: {
      settings: file.settings.map(row => ({
        id: row.id,
        version: row.version,
        assembly: row.assembly,
        name: row.name,
        kind: row.kind,
        before: row.before,
        beforeReading: row.beforeReading,
        photograph: file.photographs.find(p => p.id === row.photographId)?.hash ?? null,
        pictured: row.photographId !== null,
        now: row.now,
        nowReading: row.nowReading,
        turns: row.turns,
        why: row.why,
        changedAt: row.changedAt,
        back: back.get(row.id) ?? '',
      })),
      photographs: file.photographs.map(({ id, caption, name }) => ({ id, says: caption || name })),
      findings: judgeSettings(own),
      sisters: sisters
        .map(({ tag, nickname, variant }) => ({
          tag,
          nickname,
          variant,
          places: compareSettings(
            own,
            theirs.filter(one => one.tag === tag).map(one => told(one.row)),
          ).filter(place => place.differs),
        }))
        .filter(sister => sister.places.length),
    },
  }
}
