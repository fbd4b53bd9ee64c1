import type { HazardKind } from './hazards'
import { phrases } from './phrases'

/**
 * Reads what people write for dangers. It proposes, and a person decides: what it hears is a suspicion with its sentence until somebody says what it
 * was. It knows the usual ways of denying something, of asking, and of telling somebody to look; it knows no irony. How often it is right is measured
 * on sayings that it was not written from (`tests/support/sayings.ts`).
 */
export interface HeardInText {
  kind: HazardKind
  /** The sentence it stands in. */
  sentence: string
  /** The words that were taken for it. */
  words: string
  /** Told by somebody who heard it from somebody: still a question. */
  hearsay: boolean
}

/** More than anybody writes, and still read in no time. */
const longestText = 20_000

const denial = /\b(no|not|never|without|none|neither|nor|nothing|nobody|cannot|free of|free from|hardly)\b|n['’]t\b/i
/** Told to look, or only if: nothing has happened yet. */
const notYet =
  /\b(if|whether|in case|unless|watch(ing)? (out )?for|look(ing)? (out )?for|look whether|keep an eye|listen for|check(ing|s)?( it)?( for| whether| that| if)?|ask(ed|ing)? (\w+ ){0,3}(if|whether)|beware( of)?|make sure|so that (it|nothing)|to see)\b/i
const asking = /^\W*(did|does|do|has|have|had|was|were|is|are|could|can|may|might|should|will|would|any|anybody|anything)\b/i
const hearsay =
  /\b(says?|said|told|heard|apparently|supposedly|allegedly|reportedly|they say|it seems|claims?|claimed|thinks?|thought|believes?|rumou?r|may have|might have|must have|somebody thought)\b/i
const putRight = /\b(has been|have been|was|were|now|since|been) (replaced|mended|repaired|cleared|traced and|put right|renewed|rewired)\b/i

const sentencesOf = (text: string): string[] => text.match(/[^.!?;\n]+[.!?;\n]*/g) ?? []
/** A denial reaches as far as its clause. */
const clausesOf = (sentence: string): string[] => sentence.split(/,|:|\bbut\b|\bthen\b|\balthough\b|\bthough\b|\byet\b|–|—|\(|\)/i)

/** Whether a clause says it, and does not deny it. */
function asserted(clause: string, at: RegExpExecArray, ownNot: boolean | undefined): boolean {
  const until = clause.slice(0, at.index + at[0].length)
  const before = clause.slice(0, at.index)
  return !notYet.test(before) && (ownNot ? !/\b(no longer|not any more)\b/i.test(clause) : !denial.test(until))
}

const remembered = new Map<string, HeardInText[]>()
const mostRemembered = 2000
/**
 * The same text is read once, for a machine's texts are asked about whenever anything of it changes.
 * @param text as it was typed
 * @returns each hazard once, with the first sentence that speaks of it
 */
export function readForHazards(text: string): HeardInText[] {
  const before = remembered.get(text)
  if (before) return before
  const heard = read(text)
  if (remembered.size >= mostRemembered) remembered.clear()
  remembered.set(text, heard)
  return heard
}

function read(text: string): HeardInText[] {
  const found = new Map<HazardKind, HeardInText>()
  for (const sentence of sentencesOf(text.slice(0, longestText))) {
    const trimmed = sentence.trim()
    if (!trimmed || (trimmed.endsWith('?') && asking.test(trimmed))) continue
    for (const clause of clausesOf(trimmed)) {
      if (putRight.test(clause)) continue
      for (const { kind, words, unless, ownNot } of phrases) {
        if (found.has(kind)) continue
        const at = words.exec(clause)
        if (!at || unless?.test(clause) || !asserted(clause, at, ownNot)) continue
        found.set(kind, { kind, sentence: trimmed, words: at[0].trim(), hearsay: hearsay.test(trimmed) })
      }
    }
  }
  return [...found.values()]
}
