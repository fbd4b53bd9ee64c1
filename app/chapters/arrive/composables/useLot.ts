import { useDebounceFn, useEventListener } from '@vueuse/core'
import Papa from 'papaparse'
import { lookAlikes } from '#core/identify/look-alike'
import { type LotField, lotFields } from '#core/identify/lot-columns'
import type { ModelView } from '#shared/chapters/models/index'
import { type LotCommon, type LotReading, type LotRow, readLotRow } from '#shared/chapters/arrive/index'
import { modelNamed, useModels } from '../../models/index'

export interface LotLine extends LotRow {
  key: number
}
/** Said beside a row, without keeping it from being booked in. */
export interface RowTold {
  meant: ModelView | undefined
  leaked: boolean
  faults: string[]
}
export interface CsvRead {
  name: string
  delimiter: string
  headings: string[]
  rows: string[][]
  trouble: string
}

const lotDraft = 'book-in-lot'

/** Columns that are typed by hand, unless a file brings others. */
const usual: LotField[] = ['name', 'maker', 'nickname', 'serial', 'weightKg', 'place', 'claims', 'accessories']
const fields = Object.keys(lotFields) as LotField[]

interface LotTyped {
  rows: LotRow[]
  common: LotCommon
  brought: LotField[]
}
/** A lot is an evening's typing: it lies in the browser until it was booked in. */
function useLotDraft() {
  const drafts = useDrafts()
  return {
    before: drafts.read(lotDraft)?.values as LotTyped | undefined,
    keptFrom(typed: () => LotTyped) {
      const keep = () => {
        const values = typed()
        if (values.rows.length) drafts.write(lotDraft, { label: 'Book in a job lot', path: '/book-in/lot', panel: '', values: { ...values }, start: {} })
        else drafts.drop(lotDraft)
      }
      watch(typed, useDebounceFn(keep, 250), { deep: true })
      useEventListener(window, 'pagehide', keep)
      onBeforeUnmount(keep)
    },
  }
}

/** A job lot in the making: a table of machines, typed or taken from a file, each row read as it stands. */
export function useLot() {
  const { known } = useModels()
  // Rows are told apart by keys of this page alone.
  let keys = 0
  const lot = useLotDraft()
  const { before } = lot
  const lines = ref<LotLine[]>((before?.rows ?? []).map(row => ({ ...row, key: ++keys })))
  const common = ref<LotCommon>(before?.common ?? { acquired: 'given', fromWhom: '', owner: '', lastPowered: '' })
  const brought = ref<LotField[]>(before?.brought ?? [])
  const columns = computed(() => fields.filter(f => usual.includes(f) || brought.value.includes(f)))

  const add = (row: LotRow = {}) => lines.value.push({ key: ++keys, ...row })
  const isEmpty = ({ key: _, ...row }: LotLine) => Object.values(row).every(cell => !cell?.trim())
  const modelOf = (name: string, maker: string) => modelNamed(known.value, name, maker)?.id ?? null

  /** Every row that holds something, read; empty ones do not count. */
  const readings = computed(
    () => new Map<number, LotReading>(lines.value.filter(line => !isEmpty(line)).map(line => [line.key, readLotRow(line, common.value, modelOf)])),
  )
  /** What is worth knowing of a row before it is booked in: another spelling of a known model, and what its sisters had. */
  const told = computed(
    () =>
      new Map(
        lines.value.flatMap((line): [number, RowTold][] => {
          const name = line.name?.trim() ?? ''
          const model = modelNamed(known.value, name, line.maker ?? '')
          const meant =
            name && !model
              ? known.value.find(
                  m =>
                    m.name ===
                    lookAlikes(
                      name,
                      known.value.map(k => k.name),
                    )[0],
                )
              : undefined
          // Faults of a model are said once, at its first row.
          const first = model && lines.value.find(other => modelNamed(known.value, other.name?.trim() ?? '', other.maker ?? '') === model) === line
          return model || meant ? [[line.key, { meant, leaked: Boolean(model?.leaked), faults: first ? model.knownFaults : [] }]] : []
        }),
      ),
  )
  const good = computed(() => lines.value.filter(line => readings.value.get(line.key)?.request))
  const bad = computed(() => lines.value.filter(line => readings.value.get(line.key)?.problems.length))
  /** Serial numbers that stand in more than one row: allowed, but worth a look. */
  const twice = computed(() => {
    const serials = lines.value.map(line => line.serial?.trim().toLowerCase()).filter(Boolean)
    return new Set(serials.filter((serial, i) => serials.indexOf(serial) !== i))
  })

  function takeIn(csv: CsvRead, mapping: (LotField | null)[]) {
    lines.value = lines.value.filter(line => !isEmpty(line))
    brought.value = [...new Set([...brought.value, ...mapping.filter(f => f !== null)])]
    csv.rows.forEach(row => add(Object.fromEntries(mapping.flatMap((field, i) => (field ? [[field, (row[i] ?? '').trim()]] : [])))))
  }
  lot.keptFrom(() => ({ rows: lines.value.filter(line => !isEmpty(line)).map(({ key: _, ...row }) => row), common: common.value, brought: brought.value }))
  return {
    lines,
    common,
    columns,
    readings,
    good,
    bad,
    twice,
    told,
    known,
    add,
    isThat: (line: LotLine, { name, maker }: ModelView) => Object.assign(line, { name, maker }),
    takeIn,
    remove: (key: number) => (lines.value = lines.value.filter(line => line.key !== key)),
  }
}
export type Lot = ReturnType<typeof useLot>

/** Reads a file of separated values (RFC 4180, and whatever else separates), with the first row as headings. */
export const readCsv = (file: File, delimiter = '') =>
  new Promise<CsvRead>(done => {
    Papa.parse<string[]>(file, {
      delimiter,
      skipEmptyLines: 'greedy',
      complete({ data, errors, meta }) {
        const [headings = [], ...rows] = data
        // A single column is no trouble by itself; a quote that never ends is.
        const trouble = errors.find(e => e.type === 'Quotes')
        done({
          name: file.name,
          delimiter: meta.delimiter,
          headings: headings.map(h => h.trim().replace(/^\uFEFF/, '')),
          rows,
          trouble: trouble
            ? `Row ${(trouble.row ?? 0) + 1}: a quotation mark is not closed, or stands in the wrong place.`
            : rows.length
              ? ''
              : 'There is no row below the headings.',
        })
      },
      error: error => done({ name: file.name, delimiter: '', headings: [], rows: [], trouble: `The file cannot be read: ${error.message}` }),
    })
  })
