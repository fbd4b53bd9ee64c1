import { type Discipline, arranged } from '../kernel/discipline'
import { finding } from '../kernel/finding'
import { type Heard, heard } from '../kernel/heard'
import type { MachineKnown, MachineRecord, TrunkRecord } from '../kernel/machine'
import type { NextMove } from '../kernel/move'
import { disciplines } from './disciplines'
import { nextMoves } from './next-moves'
import { type StageProgress, runOf } from './run'

export interface Assessment {
  known: MachineKnown
  run: StageProgress[]
  moves: NextMove[]
  /** The next instant at which something changes by time alone; nothing where nothing does. */
  dueAt: string | null
}

const { before, hearing, after } = arranged(disciplines)

const unreadable = (about: string, error: Error): Heard =>
  heard(
    finding('stop', 'record.unreadable', `What is on record about ${about} cannot be read.`, [
      error.message,
      'It stays off until the record has been put right.',
    ]),
    'Put the record right; it says what cannot be judged.',
  )

/**
 * Asks every discipline about one machine, once: what each knows and what of it the gate hears, then the one that hears all of them,
 * those that rest on it, the run and what to do next.
 * What a discipline cannot read of the stored rows becomes a stop on this machine; it never fails.
 * @param now instant in UTC with milliseconds
 */
export function assess(record: MachineRecord, now: string): Assessment {
  const failed = new Map<string, Heard>()
  const trunk: TrunkRecord = { stage: record.stage, life: record.life, bookedInAt: record.bookedInAt }
  const known = { ...trunk, now }
  const heardOf = disciplines.flatMap(d => {
    try {
      return d.heard?.(record, now) ?? []
    } catch (error) {
      failed.set(`heard ${d.name}`, unreadable('what may harm it', error as Error))
      return []
    }
  })
  const ask = (d: Discipline) => {
    const asked = { known, now, heard: d.hears ? [...heardOf, ...failed.values()] : [] }
    if (!failed.has(d.name))
      try {
        return void Object.assign(known, d.facts(record, asked))
      } catch (error) {
        failed.set(d.name, unreadable(d.about, error as Error))
      }
    if (d.hears) asked.heard = [...heardOf, ...failed.values()]
    Object.assign(known, typeof d.unknown === 'function' ? d.unknown(record, asked) : d.unknown)
  }
  before.forEach(ask)
  const heardBy = () => [hearing, ...after].forEach(ask)
  const soFar = () => failed.size
  const told = soFar()
  heardBy()
  // What could not be read only after the gate had been asked is heard by it too.
  if (soFar() > told) heardBy()
  const all = known as MachineKnown
  const dueAt = disciplines
    .flatMap(d => d.due?.(all) ?? [])
    .filter(at => at > now)
    .sort()[0]
  return { known: all, run: runOf(all), moves: nextMoves(all), dueAt: dueAt ?? null }
}
