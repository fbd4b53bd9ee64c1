/** What a test program wrote, a line a pass. */
export interface SoakLog {
  passes: number
  failures: number
  /** Lines that tell of no pass, with their number; the first of them. */
  unread: { line: number; text: string }[]
}

const failed =
  /\b(fail(ed|ing|ure|ures|s)?|errors?|bad|wrong|parity|mismatch(es|ed)?|abort(ed)?|panic|crash(ed)?|hang|hung|corrupt(ed|ion)?|flipped|differs?|different|differences?|stuck|lost|dropped|faults?|faulty|exceptions?|unexpected|expected|retr(y|ies|ied)|time(d)?[ -]?out|not\s+(ok|good|passed|complete[d]?)|unsuccessful|incomplete|ng)\b/i
/** `0 errors`, `no failures`, `errors: 0`: a pass. */
const noneFailed =
  /\b(0|no|zero|without)\s+(errors?|fail(ure|ures|s|ed)?|mismatch(es)?|faults?|differences?|exceptions?|corruption|bad|lost|dropped|retries)\b|\bas expected\b|\b(errors?|failures?|faults?|mismatches|differences|exceptions|lost|dropped)\s*[:=]\s*0\b(?![.,]?\d)/gi
const passed = /\b(pass(ed|es)?|ok|good|success|complete[d]?)\b/i
/** `pass 12`, `12 passes`: which one it was, and no verdict. */
const counted = /\bpass(es)?\s*#?\s*\d+|\b\d+\s*pass(es)?\b/gi
/** A line that sums up tells of no pass of its own. */
const sums = /\b(total|totals|summary|overall|altogether)\b/i
const mostUnread = 20

/**
 * Reads the log of a soak by its words, a pass a line; `pass 12: FAILED` is a failure, `pass 12: 0 errors` is none. What says neither is named
 * and not counted. Words are English: common practice, no source.
 */
export function readSoakLog(text: string): SoakLog {
  const log: SoakLog = { passes: 0, failures: 0, unread: [] }
  text.split(/\r?\n/).forEach((raw, i) => {
    const line = raw.trim()
    if (!line) return
    const rest = line.replace(noneFailed, '')
    const clean = rest !== line
    const verdict = rest.replace(counted, '')
    if (sums.test(line)) {
      if (log.unread.length < mostUnread) log.unread.push({ line: i + 1, text: line.slice(0, 80) })
    } else if (failed.test(verdict)) {
      log.passes++
      log.failures++
    } else if (clean || passed.test(verdict)) log.passes++
    else if (log.unread.length < mostUnread) log.unread.push({ line: i + 1, text: line.slice(0, 80) })
  })
  return log
}

/** Whether a reading of a meter counts as a pass: within its limits; an open circuit or an overload, told as OL, is none. */
export const readingPasses = (figure: string, from: number, to: number): boolean => {
  const value = Number(figure)
  return figure.trim() !== '' && value >= from && value <= to
}
