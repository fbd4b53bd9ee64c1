import type { ModelView } from '#shared/chapters/models/index'

export const yearsMade = ({ madeFrom, madeTo }: Pick<ModelView, 'madeFrom' | 'madeTo'>) =>
  [...new Set([madeFrom, madeTo].filter(year => year !== null))].join(' to ')

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()
/** A name that is a known model's is that model, in whatever capitals it was typed. */
export const modelNamed = (models: readonly ModelView[], name: string, maker = '') =>
  models.find(m => same(m.name, name) && (!maker.trim() || same(m.maker, maker)))
