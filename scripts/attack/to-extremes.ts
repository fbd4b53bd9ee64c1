/** Takes each member of an input to the ends of what its kind can be; the contract says what of that is refused. */

type Path = (string | number)[]
const list = (value: unknown): value is unknown[] => Array.isArray(value)
const record = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !list(value)

const figures = [0, -0.0005, 1e-9, -1, 1, 0.5, 100, 65535, 1e6, 1e9, 1e12, 1e15, -1e15, 1e308]
const days = ['', '0001-01-01', '1899-12-31', '1970-01-01', '2026-02-29', '2999-01-01', '9999-12-31', '9999-12', '0001']
const instants = ['0001-01-01T00:00:00.000Z', '1970-01-01T00:00:00.000Z', '2999-01-01T00:00:00.000Z', '9999-12-31T23:59:59.999Z', '2026-03-29T01:30:00+13:00']
const texts = [
  '',
  ' ',
  '0',
  '-',
  '<img src=x onerror=alert(1)>',
  '"\\\'`${0}',
  '\u0000',
  '\ud800',
  '\u202eabc',
  'ﬀ',
  '__proto__',
  'constructor',
  '8299',
  '1e309',
  'x'.repeat(60),
  'W'.repeat(200),
  'y'.repeat(1000),
  'z '.repeat(5000),
]

/** Whether it names a row: those are tried by another run. */
const isKey = (path: Path) => /Id$|^id$|^version$/.test(String(path.at(-1) ?? ''))

export function* toExtremes(input: unknown, path: Path = []): Generator<{ path: string; input: (whole: unknown) => unknown }> {
  if (isKey(path)) return
  const put = (value: unknown) => ({
    path: `${path.join('.')} = ${String(JSON.stringify(value)).slice(0, 40)}`,
    input: (whole: unknown) => replaced(whole, path, value),
  })
  if (typeof input === 'number') for (const figure of figures) yield put(figure)
  else if (typeof input === 'boolean') yield put(!input)
  else if (typeof input === 'string') {
    for (const other of /^\d{4}-\d\d-\d\dT/.test(input) ? instants : /^\d{4}(-\d\d){0,2}$/.test(input) ? days : texts) yield put(other)
  } else if (list(input)) {
    yield put([])
    if (input.length) for (const many of [2, 30, 250]) yield put(Array.from({ length: many }, (_, i) => input[i % input.length]))
    for (const [i, one] of input.slice(0, 2).entries()) yield* toExtremes(one, [...path, i])
  } else if (record(input)) for (const [key, one] of Object.entries(input)) yield* toExtremes(one, [...path, key])
  // What may be left out is sometimes there: a figure, a text, a day.
  if (input === null) for (const value of [0, 1e9, -1, 'x', '2999-01-01', '9999-12-31T23:59:59.999Z', true, []]) yield put(value)
  else if (path.length) yield put(null)
}

function replaced(value: unknown, [key, ...rest]: Path, what: unknown): unknown {
  if (key === undefined) return what
  const copy = list(value) ? [...value] : { ...(value as object) }
  ;(copy as Record<string, unknown>)[key] = replaced((value as Record<string, unknown>)?.[key], rest, what)
  return copy
}
