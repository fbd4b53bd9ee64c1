/** Another part that would do in the place of the one that is wanted. */
export interface WouldDo {
  name: string
  /** What it cannot do, or does otherwise; empty where nobody knows. */
  limit: string
  /** It does for a first start, and not to stay. */
  firstStart: boolean
}

const lines = (text: string, firstStart: boolean): WouldDo[] =>
  text
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean)
    .map(line => {
      const at = line.indexOf(':')
      return { name: (at < 0 ? line : line.slice(0, at)).trim(), limit: at < 0 ? '' : line.slice(at + 1).trim(), firstStart }
    })
    .filter(({ name }) => name)

/**
 * Substitutes as somebody wrote them down, a line each: the part, and behind a colon what its limit is.
 * @param toStay those that may stay @param firstStart those for a first start alone
 */
export const readWouldDo = (toStay: string, firstStart: string): WouldDo[] => [...lines(toStay, false), ...lines(firstStart, true)]

/** What is said of one of them: no limit stated is no promise that it fits. */
export const wouldDoSays = ({ limit, firstStart }: Omit<WouldDo, 'name'>): string =>
  `Noted as ${firstStart ? 'doing for a first start' : 'a substitute'}${limit ? `: ${limit}` : '; its limit is not known'}.`

/** One of them in a list: the part, what it does for, and its limit. */
export const wouldDoWords = ({ name, limit, firstStart }: WouldDo): string =>
  `${name}${firstStart ? ', for a first start' : ''} (${limit || 'its limit is not known'})`
