import { v7 as uuidv7 } from 'uuid'
import type { CommandInput } from '#shared/chapters/index'
import { eq } from 'drizzle-orm'
import { NotFound, NotNow } from '../../kernel/refusals'
import type { MachineWork, Work } from '../../kernel/work'
import { models } from '../models/index'
import { bulletinReads } from './schema'

/** A model has so many bulletins at the most. */
const mostBulletins = 60

const modelOf = ({ tx }: Work, id: number) => {
  const model = tx.select().from(models).where(eq(models.id, id)).get()
  if (!model) throw new NotFound('There is no such model.')
  return model
}

/** Accepts what was learned; every sister is told. */
export function acceptBulletin(work: Work, { modelId, ...said }: CommandInput<'accept-bulletin'>): void {
  const model = modelOf(work, modelId)
  if (model.bulletins.some(b => b.cause.toLowerCase() === said.cause.toLowerCase())) throw new NotNow('There is a bulletin of this already. Withdraw it first.')
  if (model.bulletins.length >= mostBulletins) throw new NotNow(`A model has up to ${mostBulletins} bulletins.`)
  work.tx
    .update(models)
    .set({ bulletins: [...model.bulletins, { uid: uuidv7(), ...said, at: work.at, by: work.person.name }] })
    .where(eq(models.id, modelId))
    .run()
  work.write('bulletin.accepted', { model: model.name, happens: said.happens })
  work.affects({ of: 'model', id: modelId })
}

export function withdrawBulletin(work: Work, { modelId, uid, why }: CommandInput<'withdraw-bulletin'>): void {
  const model = modelOf(work, modelId)
  const gone = model.bulletins.find(b => b.uid === uid)
  if (!gone) throw new NotFound(`${model.name} has no such bulletin.`)
  work.tx
    .update(models)
    .set({ bulletins: model.bulletins.filter(b => b !== gone) })
    .where(eq(models.id, modelId))
    .run()
  work.write('bulletin.withdrawn', { model: model.name, happens: gone.happens, why })
  work.affects({ of: 'model', id: modelId })
}

export function readBulletin({ tx, machine, at, write, file }: MachineWork, { uid, found }: CommandInput<'read-bulletin'>): void {
  const bulletin = file().model?.bulletins.find(b => b.uid === uid)
  if (!bulletin) throw new NotFound(`There is no such bulletin of the model of ${machine.tag}.`)
  if (file().bulletinReads.some(r => r.uid === uid)) throw new NotNow('Somebody has looked for it already.')
  tx.insert(bulletinReads).values({ machineId: machine.id, uid, at }).run()
  write('bulletin.read', { happens: bulletin.happens, found })
}
