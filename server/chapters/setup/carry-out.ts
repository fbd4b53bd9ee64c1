import { InputError } from '#core/kernel/input-error'
import { isTurned, readSettings } from '#core/identify/settings/settings'
import type { CommandInput } from '#shared/chapters/index'
import { eq } from 'drizzle-orm'
import { NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { expectVersion } from '../../kernel/versions'
import type { MachineWork } from '../../kernel/work'
import { photographOf } from '../look/index'
import { settings } from './schema'

type Row = typeof settings.$inferSelect
/** More than one machine has. */
const mostOfMachine = 600
/** So many rows go into one statement. */
const perStatement = 60
const ofMachine = ({ tx, machine }: MachineWork): Row[] => tx.select().from(settings).where(eq(settings.machineId, machine.id)).all()
const settingOf = (work: MachineWork, { settingId, version }: { settingId: number; version: number }): Row => {
  const row = rowOf(work, settings, settingId, 'setting')
  expectVersion(work, row, version, row.version, ['kind', 'before', 'now', 'turns'])
  return row
}
const set = (work: MachineWork, row: Row, fields: Partial<Row>) =>
  void work.tx
    .update(settings)
    .set({ ...fields, version: row.version + 1 })
    .where(eq(settings.id, row.id))
    .run()
const stood = ({ before, photographId }: Row) => before || (photographId === null ? 'as it was found' : 'as its photograph shows')

/** Notes how things stood when they were found: in words, or on a photograph; all of it or nothing. */
export function noteSettings(work: MachineWork, { assembly, typed, photographId }: CommandInput<'note-settings'>): void {
  if (photographId !== null) photographOf(work, photographId)
  const read = readSettings(typed, photographId !== null)
  const had = ofMachine(work)
  const there = new Set(had.filter(one => one.assembly === assembly).map(one => one.name.toLowerCase()))
  const twice = read.filter(one => there.has(one.name.toLowerCase())).map(one => one.name)
  if (twice.length)
    throw new InputError('typed', '', `${twice.slice(0, 5).join(', ')}: noted on ${assembly} already. Leave them out, or say there what changed.`)
  if (had.length + read.length > mostOfMachine) throw new InputError('typed', '', `${mostOfMachine} settings of one machine at most.`)
  const rows = read.map(({ name, kind, stands }) => ({ machineId: work.machine.id, assembly, name, kind, before: stands, photographId }))
  for (let from = 0; from < rows.length; from += perStatement)
    work.tx
      .insert(settings)
      .values(rows.slice(from, from + perStatement))
      .run()
  work.write('settings.noted', { assembly, names: read.map(one => one.name), pictured: photographId !== null })
}

/** Says more of how one was found, while nobody has changed it: *after* needs a *before* that was written down before. */
export function describeSetting(work: MachineWork, { settingId, version, kind, before, beforeReading }: CommandInput<'describe-setting'>): void {
  const row = settingOf(work, { settingId, version })
  if (row.now !== null) throw new NotNow(`${row.name} has been changed. How it was found stays as it was noted before.`)
  if (!before && row.photographId === null) throw new InputError('before', before, 'How it stood: say it, such as 1-2.')
  set(work, row, { kind, before, beforeReading })
  work.write('setting.described', { assembly: row.assembly, name: row.name, kind, before, reading: beforeReading })
}

export function changeSetting(work: MachineWork, { settingId, version, to, turns, reading, why }: CommandInput<'change-setting'>): void {
  const row = settingOf(work, { settingId, version })
  if (turns !== null && !isTurned(row.kind))
    throw new InputError('turns', turns, `Turns clockwise: ${row.name} is not turned. Leave it empty, or say first that it is a trimmer or a coil.`)
  // Turns add up, so that the way back is counted from how it was found.
  const all = turns === null ? row.turns : Math.round(((row.turns ?? 0) + turns) * 1000) / 1000
  set(work, row, { now: to, nowReading: reading, turns: all, why, changedAt: work.at })
  work.write('setting.changed', { assembly: row.assembly, name: row.name, from: row.now ?? stood(row), to, turns, reading, why })
}

export function putBackSetting(work: MachineWork, { settingId, version, reading }: CommandInput<'put-back-setting'>): void {
  const row = settingOf(work, { settingId, version })
  if (row.now === null) throw new NotNow(`${row.name} stands as it was found.`)
  set(work, row, { now: null, nowReading: reading, turns: null, why: '', changedAt: null })
  work.write('setting.back', { assembly: row.assembly, name: row.name, to: stood(row), reading })
}

/** Takes one off the list that was noted by mistake; one that was changed stays until it is put back. */
export function dropSetting(work: MachineWork, { settingId, version, reason }: CommandInput<'drop-setting'>): void {
  const row = settingOf(work, { settingId, version })
  if (row.now !== null) throw new NotNow(`${row.name} has been changed: put it back first, or its way back is lost.`)
  work.tx.delete(settings).where(eq(settings.id, row.id)).run()
  work.write('setting.dropped', { assembly: row.assembly, name: row.name, reason })
}
