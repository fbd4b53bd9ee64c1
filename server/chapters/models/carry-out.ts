import { v7 as uuidv7 } from 'uuid'
import { InputError } from '#core/kernel/input-error'
import type { CommandInput } from '#shared/chapters/index'
import { and, eq, ne } from 'drizzle-orm'
import { NotFound } from '../../kernel/refusals'
import { expectVersion } from '../../kernel/versions'
import type { Work } from '../../kernel/work'
import type { Tx } from '../../kernel/history/journal'
import { models } from '../../kernel/trunk'

function refuseTwice({ tx }: Work, maker: string, name: string, except = 0) {
  const there = tx
    .select()
    .from(models)
    .where(and(eq(models.maker, maker), eq(models.name, name), ne(models.id, except)))
    .get()
  if (there) throw new InputError('name', name, `Model: ${name} by ${maker} is known already.`)
}

export function addModel(work: Work, model: CommandInput<'add-model'>): { modelId: number } {
  refuseTwice(work, model.maker, model.name)
  const { id } = work.tx
    .insert(models)
    .values({ ...model, uid: uuidv7() })
    .returning()
    .get()
  work.write('model.added', { maker: model.maker, name: model.name })
  return { modelId: id }
}

export function changeModel(work: Work, { modelId, version, ...model }: CommandInput<'change-model'>): void {
  const before = work.tx.select().from(models).where(eq(models.id, modelId)).get()
  if (!before) throw new NotFound('There is no such model.')
  expectVersion(work, before, version, before.version, Object.keys(model))
  refuseTwice(work, model.maker, model.name, modelId)
  work.tx
    .update(models)
    .set({ ...model, version: before.version + 1 })
    .where(eq(models.id, modelId))
    .run()
  work.write('model.changed', { maker: model.maker, name: model.name })
  work.affects({ of: 'model', id: modelId })
}

/** The model that goes by exactly this name and maker. */
export const modelCalled = (tx: Tx, { name, maker }: { name: string; maker: string }) =>
  tx
    .select()
    .from(models)
    .where(and(eq(models.name, name), eq(models.maker, maker)))
    .get()
