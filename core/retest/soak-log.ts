/** What a test program wrote, a line a pass. */
export interface SoakLog {
  passes: number
  failures: number
  /** Lines that tell of no pass, with their number: headings before the first one, and sums. The first of them. */
  unread: LogLine[]
  /** The line at which reading stopped, for nobody could tell what it says of a pass; nothing where all was read. */
  stopped: LogLine | null
  /** The first line that was taken for a pass, and for a failure: for a person to look at. */
  taken: { pass: LogLine | null; fail: LogLine | null }
}
/** What a person said a line of this program has in it; empty where nothing was said of that kind. */
export interface LogWords {
  pass: string
  fail: string
}
export interface LogLine {
  line: number
  text: string
}

type Says = 'pass' | 'fail' | 'nothing'
const mostUnread = 20

/** Words of a verdict, in a field or standing alone. Only these are plainly a pass. English: common practice, no source. */
const passWords = /^(pass(ed|es)?|ok|okay|good|success(ful(ly)?)?|succeeded|complete(d)?|clean|true|yes|1|0 errors?|no errors?|error[- ]free)$/i
const failWords = /^(fail(ed|s|ure|ures)?|errors?|bad|ng|false|no|0|abort(ed)?|timeout|timed out|crash(ed)?|incomplete|unsuccessful|wrong|nok)$/i
/** Fields that hold a verdict, and fields that count what went wrong. */
const verdictFields = /^(result|status|verdict|outcome|pass|passed|ok|okay|success|successful|good|complete|completed|test|state)$/i
const countFields =
  /^(\w+[ _-])?(err|errors?|fail|failed|failures?|bad|mismatch(es)?|diff|diffs|differences?|retr(y|ies)|lost|dropped|faults?|exceptions?|timeouts?|flips|bit ?flips|corrupt\w*|missing|warnings?)$/i
/** Whatever speaks of trouble anywhere in a line keeps it from being a pass. */
const trouble =
  /\b(no|not|never|non|without|un\w+|in(complete|correct)|fail\w*|err(or)?s?|bad|wrong|parity|mismatch\w*|abort\w*|panic\w*|crash\w*|hang\w*|hung|corrupt\w*|flip\w*|diff\w*|stuck|lost|losing|drop\w*|fault\w*|exception\w*|expected|retr\w+|time(d|s)?[ -]?out|ng|nok|warn\w*|partial\w*|skip\w*|false|miss\w*|slow|stop\w*)\b/i
/** `0 errors`, `no failures`, `errors: 0`: nothing went wrong. */
const noneWrong =
  /\b0+\s*(?:of|\/|out of)\s*\d+\s+(?:fail\w*|errors?|bad)\b|\b(0|no|zero|without( any)?)\s+(\w+\s+)?(errors?|fail(ure|ures|s|ed)?|mismatch(es)?|faults?|diffs?|differences?|exceptions?|corruption|bad( (bits|bytes|blocks))?|lost|dropped|retries|problems?|warnings?)\b|\bas expected\b|\b(errors?|err|fail(ure|ed|s|ures)?|faults?|mismatches|diffs?|differences|exceptions|lost|dropped|retries|bad|warnings?)\s*[:=]\s*0+\b(?![.,]?\d)/gi
const sums = /\b(total|totals|summary|overall|altogether|so far)\b/i

const ofWord = (value: string): Says => (passWords.test(value.trim()) ? 'pass' : failWords.test(value.trim()) ? 'fail' : 'nothing')

/** What one field says: a verdict by its words, a count of what went wrong by its figure. */
function ofField(name: string, value: unknown): Says {
  if (countFields.test(name.trim())) {
    const count = typeof value === 'boolean' ? Number(value) : Number(String(value).trim())
    return count === 0 ? 'pass' : 'fail'
  }
  if (!verdictFields.test(name.trim())) return 'nothing'
  if (typeof value === 'number') return value === 1 ? 'pass' : value === 0 ? 'fail' : 'nothing'
  const said = ofWord(String(value))
  // A field for a verdict with another word in it has told of something that is not plainly a pass.
  return said === 'nothing' && String(value).trim() && !/^\d+$/.test(String(value).trim()) ? 'fail' : said
}

/** What is plain in one place and denied in another is no pass. */
const together = (all: readonly Says[]): Says => (all.includes('fail') ? 'fail' : all.includes('pass') ? 'pass' : 'nothing')

function ofJson(line: string): Says | null {
  if (!/^[{[]/.test(line)) return null
  try {
    // A list has no names for its fields, and says nothing.
    return together(Object.entries(JSON.parse(line) as object).map(([name, v]) => ofField(name, v)))
  } catch {
    return 'nothing'
  }
}

/** `key=value` and `key: value`, wherever they stand in a line. */
const ofPairs = (line: string): Says =>
  together([...line.matchAll(/([A-Za-z][\w -]{0,30}?)\s*[:=]\s*("[^"]*"|[^\s,;|]+)/g)].map(([, name, value]) => ofField(name!, value!.replace(/^"|"$/g, ''))))

/** `10 of 10`, `10/10 passed`: all of them, or not. */
function ofShare(line: string): Says {
  const share = /\b(\d+)\s*(?:of|\/|out of)\s*(\d+)\b/i.exec(line)
  if (!share || !/\b(pass\w*|ok|good|succe\w*|complete\w*|tests?|fail\w*|errors?|bad)\b/i.test(line)) return 'nothing'
  const [some, all] = [Number(share[1]), Number(share[2])]
  return some === all && all > 0 && !/\b(fail\w*|errors?|bad)\b/i.test(line) ? 'pass' : 'fail'
}

/**
 * By words, where no structure says it: plainly a pass only where a word says so and none speaks of trouble. The Test Anything Protocol, `ok 12 - name`
 * and `not ok 12`, is read by its words.
 */
function ofWords(line: string): Says {
  const rest = line.replace(noneWrong, ' ')
  const noneFailed = rest !== line
  // Which pass it was, and figures with their units, are no verdict.
  const verdict = rest.replace(/\bpass(es)?\s*#?\s*\d+\b:?|\b\d+\s*pass(es)?\b/gi, ' ')
  if (trouble.test(verdict)) return 'fail'
  if (noneFailed) return 'pass'
  return /\b(pass(ed|es)?|ok|okay|good|success(ful(ly)?)?|succeeded|complete[d]?|clean)\b/i.test(verdict) ? 'pass' : 'nothing'
}

function saysOf(line: string): Says {
  const json = ofJson(line)
  if (json !== null) return json
  const plain = line.replace(noneWrong, ' ')
  const structured = together([ofShare(plain), ofPairs(line)])
  const worded = ofWords(line)
  return structured === 'nothing' ? worded : together([structured, worded === 'fail' ? 'fail' : 'nothing'])
}

/**
 * By what a person said, where somebody did: what tells of a failure comes first, and what tells of neither is no pass. Where nobody said what a failure
 * has in it, one that is plain by the usual words is no pass for having the word of one: `pass 3: FAILED`.
 */
function bySaid(line: string, { pass, fail }: LogWords): Says {
  const has = (said: string) => said !== '' && line.toLowerCase().includes(said.toLowerCase())
  if (has(fail) || (!fail && saysOf(line) === 'fail')) return 'fail'
  return has(pass) ? 'pass' : 'nothing'
}

/**
 * Reads the log of a soak, a pass a line: by what a person said of this program where somebody did; else by its structure first (JSON, fields, shares),
 * then by its words. What is not plainly a pass is none. What is understood neither way stops the log with its line, once it
 * has begun: whatever came after may be anything. Only where a person said both what a pass and what a failure has in it, other lines are passed over.
 */
export function readSoakLog(text: string, said: LogWords | null = null): SoakLog {
  const log: SoakLog = { passes: 0, failures: 0, unread: [], stopped: null, taken: { pass: null, fail: null } }
  const words = said?.pass ? said : null
  for (const [i, raw] of text.split(/\r?\n/).entries()) {
    const line = raw.trim()
    if (!line) continue
    const told: LogLine = { line: i + 1, text: line.slice(0, 80) }
    const says = words ? bySaid(line, words) : sums.test(line) ? 'sum' : saysOf(line)
    if (says === 'pass' || says === 'fail') {
      log.passes++
      if (says === 'fail') log.failures++
      log.taken[says] ??= told
    } else if (says === 'nothing' && !words?.fail && log.passes > 0) return { ...log, stopped: told }
    else if (log.unread.length < mostUnread) log.unread.push(told)
  }
  return log
}

/** Whether a reading of a meter counts as a pass: within its limits; an open circuit or an overload, told as OL, is none. */
export const readingPasses = (figure: string, from: number, to: number): boolean => {
  const value = Number(figure)
  return figure.trim() !== '' && value >= from && value <= to
}
