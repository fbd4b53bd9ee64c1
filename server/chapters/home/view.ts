import { readDateCode } from '#core/identify/date-code'
import { assess } from '#core/planning/assess'
import type { Passport } from '#shared/chapters/home/index'
import { isOpen, type ViewOf } from '#shared/chapters/index'
import { eq } from 'drizzle-orm'
import type { MachineFile, ViewInput } from '../../kernel/file'
import { historyOf } from '../../kernel/history'
import { loadFile } from '../../kernel/load'
import { NotFound } from '../../kernel/refusals'
import { machines } from '../../kernel/trunk'
import type { Bench } from '../../kernel/work'
import { datingOf } from '../arrive/index'
import { files } from '../look/index'
import { recordOf } from '../index'

/** Where its passport is found. */
export const homeView = ({ file: { machine, passportPictures } }: ViewInput): ViewOf<'home'> => ({
  passport: {
    on: machine.passportOn,
    path: machine.passportToken && `/passport/${machine.passportToken}`,
    beforeId: passportPictures?.beforeId ?? null,
    afterId: passportPictures?.afterId ?? null,
  },
})

/** The file of the passport that is open under this link. @throws NotFound also while it is switched off */
function openFile(db: Bench['db'], token: string) {
  const machine = db.select().from(machines).where(eq(machines.passportToken, token)).get()
  if (!machine?.passportOn) throw new NotFound('There is no passport under this link, or it has been switched off.')
  return loadFile(db, machine.id)
}

/** The photographs before and after that a passport shows; nothing where one of them was struck. */
function picturesOf({ passportPictures, photographs }: MachineFile) {
  const [before, after] = [passportPictures?.beforeId, passportPictures?.afterId].map(id => photographs.find(p => p.id === id))
  return before && after ? { before, after } : null
}

/** The hash of a picture that the passport under this link shows. @throws NotFound */
export function passportPicture({ db }: Pick<Bench, 'db'>, token: string, side: string): string {
  const pictures = picturesOf(openFile(db, token))
  if (!pictures || (side !== 'before' && side !== 'after')) throw new NotFound('There is no such picture on this passport.')
  return pictures[side].hash
}

/** What the passport shows. Names of people, donor, owner, prices and places stay behind. @throws NotFound also while it is switched off */
export function passportOf({ db, now }: Pick<Bench, 'db' | 'now'>, token: string): Passport {
  const at = now().toISOString()
  const file = openFile(db, token)
  const { machine } = file
  const history = historyOf(db, machine.id)
  const pictures = picturesOf(file)
  const { tag, name, maker, serial, stage, life, bookedInAt } = machine
  return {
    collection: file.practice.name,
    tag,
    name,
    maker,
    serial,
    about: file.model?.about ?? '',
    stage,
    life,
    bookedInAt,
    gate: assess(recordOf(file), at).known.gateInForce,
    assemblies: file.assemblies.map(({ name, presence, grade }) => ({ name, presence, grade })),
    faults: file.faults.map(({ symptom, open }) => ({ symptom, open })),
    partsSought: file.partNeeds.filter(p => p.outcome === 'wanted').map(({ name, quantity }) => ({ name, quantity })),
    questions: file.questions.filter(q => !q.settledAt).map(q => q.question),
    dateCodes: file.dateCodes.map(({ part, code }) => `${code}${part && ` on ${part}`}: ${readDateCode({ code }).readings[0]?.says ?? 'no date'}`),
    made: datingOf(file)?.findings[0]?.says ?? '',
    pictures: pictures && { before: pictureOf(db, pictures.before), after: pictureOf(db, pictures.after) },
    history: history.filter(line => isOpen(line.kind) && !line.struck).map(({ at, says }) => ({ at, says })),
    proof: { entries: history.length, hash: history[0]?.hash ?? '' },
  }
}

function pictureOf(db: Bench['db'], { caption, name, hash }: MachineFile['photographs'][number]) {
  const { widthPx, heightPx, takenAt } = db.select().from(files).where(eq(files.hash, hash)).get()!
  return { caption: caption || name, takenAt, widthPx, heightPx }
}
