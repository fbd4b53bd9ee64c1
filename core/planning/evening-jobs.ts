import { type GateVerdict, gateWords, mayBeStarted } from '../safety/gate-words'
import type { NextMove } from '../kernel/move'
import { guessMinutes, kindOfJob, needsPower, onlyWaits } from './job-minutes'
import type { EveningJob } from './tonight'

/** What is known of a machine when an evening is dealt out: its summary, and what of it ends tonight. */
export interface EveningMachine {
  tag: string
  place: string
  /** The verdict that holds; where it was overruled, nobody starts it alone. */
  gate: GateVerdict
  overruled: boolean
  /** Whether mains comes to it. */
  mains: boolean
  harmRank: number
  /** The first of its next moves, most pressing first. */
  moves: readonly NextMove[]
  /** Its running waits, with how many minutes are left. */
  waits: readonly { what: string; minutesLeft: number }[]
  /** Jobs of it that somebody began and handed on; they are dealt with its moves, whether or not they are among them still. */
  handedOn: readonly Pick<NextMove, 'code' | 'says' | 'why' | 'stage' | 'skill'>[]
  knownTo?: number
}

/** A job of an evening with the words it is known by. */
export interface EveningOffer extends EveningJob {
  move: NextMove
  /** How its minutes were guessed. */
  basis: string
}

/**
 * What could be done with one machine tonight, in the order of its next moves.
 *
 * The gate is heard: what takes a running machine waits while it is kept off or not assessed, and takes a pair where only a guarded start
 * is allowed or the gate was overruled, one of them with the skill for mains where mains comes to it. What hangs on a part that is not there
 * waits for it, and so does whatever dries; a wait that ends tonight becomes a job for then.
 * @param taken how long jobs of a kind took here, in minutes
 * @param minutesTonight until the last one leaves
 */
export function eveningOffers(machine: EveningMachine, taken: (kind: string) => readonly number[], minutesTonight: number): EveningOffer[] {
  const part = machine.moves.find(m => m.band === 'part')
  const begun = machine.handedOn.filter(job => !machine.moves.some(m => m.code === job.code && m.says === job.says))
  const begunMoves: NextMove[] = begun.map(job => ({ ...job, band: 'open-fault', who: 'a bench volunteer' }))
  const ending = machine.waits.filter(w => w.minutesLeft > 0 && w.minutesLeft <= minutesTonight)
  const waitMoves: { move: NextMove; notBefore: number }[] = ending.map(({ what, minutesLeft }) => ({
    move: { band: 'wait-over', code: 'wait-over', says: `Go on: ${what}`, why: 'The wait ends tonight.', who: 'a bench volunteer', stage: 'clean' },
    notBefore: minutesLeft,
  }))
  const offers = [...[...machine.moves, ...begunMoves].map(move => ({ move, notBefore: undefined })), ...waitMoves]
  return offers.map(({ move, notBefore }): EveningOffer => {
    const { minutes, basis } = guessMinutes(move.code, taken(kindOfJob(move.code)))
    const guarded = needsPower(move.code) && (machine.gate === 'guarded-start' || machine.overruled)
    const skill = move.skill ?? (guarded && machine.mains ? 'mains' : undefined)
    const waitsFor = needsPower(move.code) && !mayBeStarted(machine.gate) ? closed(machine.gate) : waitingFor(move, machine, part, minutesTonight)
    return {
      key: `${machine.tag}/${move.code}/${move.says}`,
      tag: machine.tag,
      place: machine.place,
      band: move.band,
      harmRank: machine.harmRank,
      minutes,
      basis,
      move,
      ...(skill ? { skill } : {}),
      ...(move.coordinator ? { coordinator: true } : {}),
      ...(move.pair || guarded ? { pair: true } : {}),
      ...(notBefore === undefined ? {} : { notBefore }),
      ...(machine.knownTo === undefined ? {} : { knownTo: machine.knownTo }),
      ...(machine.handedOn.some(job => job.code === move.code && job.says === move.says) ? { handedOn: true } : {}),
      ...(waitsFor ? { waitsFor } : {}),
    }
  })
}

const closed = (gate: GateVerdict) => `It takes a running machine, and the gate says: ${gateWords[gate].title.toLowerCase()}.`

/** What one move of a machine waits for tonight; nothing where it can be begun. */
function waitingFor(move: NextMove, { waits }: EveningMachine, part: NextMove | undefined, minutesTonight: number): string {
  if (onlyWaits(move.code)) return 'The wait has not run out yet.'
  if (part && needsPower(move.code)) return `It waits for a part: ${part.says.replace(/^Find /, '')}.`
  const later = waits.find(w => w.minutesLeft > minutesTonight)
  if (later && needsPower(move.code)) return `It waits: ${later.what}.`
  return ''
}
