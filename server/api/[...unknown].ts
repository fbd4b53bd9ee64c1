import { NotFound } from '../kernel/refusals'

/** Whatever no handler answers: told as JSON, like every refusal. */
export default defineAnswer(event => {
  throw new NotFound(`There is nothing at ${event.method} ${event.path.split('?')[0]!.slice(0, 120)}.`)
})
