import { type CleaningRecord, cleaningFacts } from '../cleaning/rules'
import { type ConditionRecord, conditionFacts } from '../condition/rules'
import { type ContinuityRecord, continuityFacts } from '../continuity/rules'
import { type DiagnosisRecord, diagnosisFacts } from '../diagnosis/rules'
import { type IdentifyRecord, identifyFacts } from '../identify/rules'
import { finding } from '../kernel/finding'
import { type OpeningRecord, openingFacts, openingUnknown } from '../opening/rules'
import { type PartsRecord, partsFacts } from '../parts/rules'
import { type PowerRecord, powerFactsKnown, powerUnknown } from '../power/rules'
import { type RetestRecord, retestFacts } from '../retest/rules'
import { type Heard, heard } from '../safety/heard'
import { type SafetyRecord, safetyFacts, safetyUnknown } from '../safety/rules'
import { type SharingRecord, sharingFacts } from '../sharing/rules'
import { type StewardshipRecord, stewardshipFacts } from '../stewardship/rules'
import type { NextMove } from './discipline'
import { disciplines } from './disciplines'
import type { MachineKnown, TrunkFacts } from './machine-known'
import { nextMoves } from './next-moves'
import { type StageProgress, runOf } from './run'

/** Everything that the disciplines ask of one machine's records. */
export type MachineRecord = Pick<TrunkFacts, 'stage' | 'life'> &
  IdentifyRecord &
  StewardshipRecord &
  ConditionRecord &
  OpeningRecord &
  PowerRecord &
  SafetyRecord &
  CleaningRecord &
  DiagnosisRecord &
  ContinuityRecord &
  PartsRecord &
  RetestRecord &
  SharingRecord

export interface Assessment {
  known: MachineKnown
  run: StageProgress[]
  moves: NextMove[]
  /** The next instant at which something changes by time alone; nothing where nothing does. */
  dueAt: string | null
}

/**
 * Asks every discipline about one machine, once: what each knows and what of it the gate hears, then the gate that hears all of them,
 * then the run and what to do next.
 * What a discipline cannot read of the stored rows becomes a stop on this machine; it never fails.
 * @param now instant in UTC with milliseconds
 */
export function assess(record: MachineRecord, now: string): Assessment {
  const unreadable: Heard[] = []
  const read = <F>(what: string, ask: () => F, otherwise: F): F => {
    try {
      return ask()
    } catch (error) {
      unreadable.push(
        heard(
          finding('stop', 'record.unreadable', `What is on record about ${what} cannot be read.`, [
            (error as Error).message,
            'It stays off until the record has been put right.',
          ]),
          'Put the record right; it says what cannot be judged.',
        ),
      )
      return otherwise
    }
  }
  const trunk: TrunkFacts = { stage: record.stage, life: record.life, bookedInAt: record.bookedInAt, now }
  const plain = {
    ...identifyFacts(record),
    ...stewardshipFacts(record),
    ...cleaningFacts(record, now),
    ...diagnosisFacts(record),
    ...continuityFacts(record),
    ...partsFacts(record),
    ...sharingFacts(record),
  }
  const conditionKnown = read('its condition', () => conditionFacts(record), { assemblies: [], checks: [], interventionsOpen: 0, growing: [], gradedWrong: [] })
  const openingKnown = read('its opening', () => openingFacts(record), openingUnknown)
  const powerKnown = read('its power', () => powerFactsKnown(record, now), powerUnknown)
  const found = disciplines.flatMap(d => read('what may harm it', () => d.heard?.(record, now) ?? [], []))
  const stops = () => [...found, ...unreadable]
  const safetyKnown = read('its dangers', () => safetyFacts(record, { ...powerKnown, ...openingKnown }, stops(), now), null) ?? safetyUnknown(record, stops())
  const known: MachineKnown = {
    ...trunk,
    ...plain,
    ...conditionKnown,
    ...openingKnown,
    ...powerKnown,
    ...safetyKnown,
    ...retestFacts(record, { ...plain, ...openingKnown, ...powerKnown, ...safetyKnown }),
  }
  const dueAt = disciplines
    .flatMap(d => d.due?.(known) ?? [])
    .filter(at => at > now)
    .sort()[0]
  return { known, run: runOf(known), moves: nextMoves(known), dueAt: dueAt ?? null }
}
