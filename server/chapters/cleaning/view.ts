import type { ViewOf } from '#shared/chapters/index'
import type { ViewInput } from '../../kernel/file'

/** What was cleaned. */
export const cleaningView = ({ file }: ViewInput): ViewOf<'cleaning'> => ({
  cleanings: file.cleanings.map(({ id, what, withWhat, byWhom, at }) => ({ id, what, withWhat, byWhom, at })),
})
