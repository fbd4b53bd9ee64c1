import { proposeBulletins } from '#core/sharing/bulletins'
import type { ViewOf } from '#shared/chapters/index'
import type { BulletinsOfModel } from '#shared/chapters/sharing/index'
import { eq } from 'drizzle-orm'
import type { ViewInput } from '../../kernel/file'
import type { Tx } from '../../kernel/history/journal'
import { NotFound } from '../../kernel/refusals'
import { faultsOfModel } from '../faults/index'
import { models } from '../models/index'

/** What was learned on sisters, and whether somebody has looked for it here. */
export const sharingView = ({ file: { model, bulletinReads } }: ViewInput): ViewOf<'sharing'> => ({
  bulletins: (model?.bulletins ?? []).map(b => ({ ...b, read: bulletinReads.some(r => r.uid === b.uid) })),
})

/** Bulletins of a model, and those that its faults suggest. @throws NotFound */
export function bulletinsOf(tx: Tx, modelId: number): BulletinsOfModel {
  const model = tx.select().from(models).where(eq(models.id, modelId)).get()
  if (!model) throw new NotFound('There is no such model.')
  const { causes, faults } = faultsOfModel(tx, modelId)
  return { accepted: model.bulletins, proposed: proposeBulletins(causes, faults, model.bulletins) }
}
