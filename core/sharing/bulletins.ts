import type { LikelyCause } from '../diagnosis/causes'

/** What the collection learned of a model, for everybody who has one. */
export interface Bulletin {
  uid: string
  /** What it turned out to be, in the words of the faults. */
  cause: string
  happens: string
  seeBy: string
  doThis: string
  /** How often it was right, and on which machines. */
  evidence: string
  at: string
  by: string
}
export interface ProposedBulletin {
  cause: string
  happens: string
  seeBy: string
  doThis: string
  evidence: string
  /** How many of ours had it. */
  machines: number
}
/** A fault with a cause, as far as a bulletin tells of it. */
export interface ToldFault {
  cause: string
  symptom: string
  did: string
}

const plain = (words: string) =>
  words
    .trim()
    .toLowerCase()
    .replace(/[\s.]+/g, ' ')
    .trim()

/** Bulletins that the causes of a model's faults suggest, and nobody has accepted: what was found, in the words of those who found it. */
export function proposeBulletins(
  causes: readonly LikelyCause[],
  faults: readonly ToldFault[],
  accepted: readonly Pick<Bulletin, 'cause'>[],
): ProposedBulletin[] {
  return causes
    .filter(c => !accepted.some(b => plain(b.cause) === plain(c.cause)))
    .map(({ cause, right, of, machines }) => {
      const told = faults.filter(f => plain(f.cause) === plain(cause))
      const words = (of_: (f: ToldFault) => string) => [...new Set(told.map(of_).filter(Boolean))].slice(0, 3).join('; ')
      return {
        cause,
        happens: cause,
        seeBy: words(f => f.symptom),
        doThis: words(f => f.did),
        evidence: `Right in ${right} of ${of} faults whose end is known: ${machines.join(', ')}.`,
        machines: machines.length,
      }
    })
}
