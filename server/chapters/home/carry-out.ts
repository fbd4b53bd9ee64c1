import { lifeNames } from '#core/kernel/stages'
import { InputError } from '#core/kernel/input-error'
import { judgeLife } from '#core/retest/life'
import type { CommandInput } from '#shared/chapters/index'
import { eq } from 'drizzle-orm'
import { randomBytes } from 'node:crypto'
import { NotFound, NotNow } from '../../kernel/refusals'
import { rowOf } from '../../kernel/row-of'
import { machines } from '../../kernel/trunk'
import type { MachineWork } from '../../kernel/work'
import { addClaim } from '../arrive/index'
import { reportFault } from '../faults/index'
import { bags, demonstrations, passportPictures, questions } from './schema'

/** Chooses the life it leads. @throws NotNow for one that runs before visitors while it is off or not signed off, with the reasons */
export function chooseLife(work: MachineWork, { life }: CommandInput<'choose-life'>): void {
  const { tx, machine, at, write } = work
  if (machine.life === life) throw new NotNow('That is its life already.')
  const { known } = work.assess()
  const against = judgeLife(life, known).filter(f => f.level === 'stop')
  if (against.length)
    throw new NotNow(
      `${lifeNames[life].title}: not yet.`,
      against.map(f => `${f.says} ${f.because.join(' ')}`),
    )
  tx.update(machines).set({ life, lifeSince: at }).where(eq(machines.id, machine.id)).run()
  write('life.chosen', { life })
  // It worked when it was put away is not the same as it works.
  if (life === 'store' && known.signedOff) addClaim(work, { says: `Worked when it was stored, ${at.slice(0, 10)}`, byWhom: '' })
}

/** A run before visitors; trouble becomes a fault at once. @throws NotNow where its life is none that runs */
export function logDemonstration(work: MachineWork, { minutes, says, trouble }: CommandInput<'log-demonstration'>): void {
  const { tx, machine, at, person, write } = work
  if (machine.life !== 'demonstration' && machine.life !== 'hands-on')
    throw new NotNow('It is not set to run for visitors. Choose Demonstration or Hands-on first.')
  tx.insert(demonstrations).values({ machineId: machine.id, minutes, says, trouble, at, by: person.name }).run()
  write('demonstration.logged', { minutes, says, trouble })
  if (trouble) reportFault(work, { symptom: says.slice(0, 200), firstSeen: '', stopsMachine: true })
}

export function bagPart({ tx, machine, at, write }: MachineWork, kept: CommandInput<'bag-part'>): void {
  tx.insert(bags)
    .values({ machineId: machine.id, ...kept, at })
    .run()
  write('part.bagged', kept)
}

export function endBag({ tx, machine, write }: MachineWork, { bagId, became }: CommandInput<'end-bag'>): void {
  const row = rowOf({ tx, machine }, bags, bagId, 'part in a bag')
  if (row.ended !== null) throw new NotNow('It is already recorded what happened to it.')
  tx.update(bags).set({ ended: became }).where(eq(bags.id, bagId)).run()
  write('bag.ended', { part: row.part, bag: row.bag, became })
}

/** Switches the public passport; its link stays the same once made, and cannot be guessed. */
export function switchPassport({ tx, machine, write }: MachineWork, { on, diary }: CommandInput<'switch-passport'>): void {
  if (machine.passportOn === on && machine.passportDiary === diary) return
  const passportToken = machine.passportToken ?? randomBytes(24).toString('base64url')
  tx.update(machines).set({ passportOn: on, passportDiary: diary, passportToken }).where(eq(machines.id, machine.id)).run()
  write('passport.switched', { on, diary })
}

/** Chooses the two photographs that the passport shows; neither takes them off it. */
export function showBeforeAfter({ tx, machine, write, file }: MachineWork, chosen: CommandInput<'show-before-after'>): void {
  const { beforeId, afterId } = chosen
  if ((beforeId === null) !== (afterId === null) || (beforeId !== null && beforeId === afterId))
    throw new InputError('afterId', afterId, 'Before and after: two photographs, please, or neither.')
  const captionOf = (id: number | null) => {
    const photograph = file().photographs.find(p => p.id === id)
    if (id !== null && !photograph) throw new NotFound(`${machine.tag} has no such photograph.`)
    return photograph ? photograph.caption || photograph.name : ''
  }
  const said = { before: captionOf(beforeId), after: captionOf(afterId) }
  tx.insert(passportPictures)
    .values({ machineId: machine.id, ...chosen })
    .onConflictDoUpdate({ target: passportPictures.machineId, set: chosen })
    .run()
  write('passport.pictures', said)
}

export function askQuestion({ tx, machine, write }: MachineWork, { question }: CommandInput<'ask-question'>): void {
  tx.insert(questions).values({ machineId: machine.id, question }).run()
  write('question.asked', { question })
}

export function settleQuestion({ tx, machine, at, write }: MachineWork, { questionId, answer }: CommandInput<'settle-question'>): void {
  const row = rowOf({ tx, machine }, questions, questionId, 'question')
  if (row.settledAt) throw new NotNow('Somebody has settled this question already.')
  tx.update(questions).set({ answer, settledAt: at }).where(eq(questions.id, questionId)).run()
  write('question.settled', { question: row.question, answer })
}
