<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { readKeyboardMap } from '#core/diagnosis/bench-maps'
import { type KeyState, type MatrixKey, judgeMatrix } from '#core/diagnosis/keyboard-matrix'
import { InputError } from '#core/kernel/input-error'
import { parseReading } from '#core/kernel/quantity'
import type { BenchMap, BenchMapOf } from '#shared/chapters/faults/index'
import { diagnosisKeyboardMatrix } from '#shared/tools/diagnosis/keyboard-matrix'

/** A drawn keyboard by its matrix; each key is pressed on until it says what it does. A real keyboard at this computer marks its keys by itself. */
const { known, blank } = defineProps<{ known?: BenchMapOf<'keyboard'>; blank?: boolean }>()
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined]; map: [map: BenchMap | undefined] }>()
const { example } = diagnosisKeyboardMatrix
const map = ref(
  known?.keys ??
    (blank
      ? ''
      : Object.values(example.keys.reduce<Record<string, MatrixKey[]>>((by, k) => ({ ...by, [k.column]: [...(by[k.column] ?? []), k] }), {}))
          .map(column => `${column[0]!.column}: ${column.map(k => k.key).join(' ')}`)
          .join('\n')),
)
const states = reactive<Record<string, KeyState>>(blank ? {} : Object.fromEntries(example.keys.map(k => [k.key, k.state])))
const lines = ref(blank ? '' : example.lines!.map(l => `${l.line} ${l.ohm ?? 'OL'}`).join('\n'))
const shorted = ref(blank ? '' : example.shorted!.map(s => `${s.row} ${s.column} ${s.types ? 'types' : 'nothing'}`).join('\n'))
const printed = ref(known?.printed ?? true)
const diodes = ref(known?.diodes ?? false)

const keysOf = () => readKeyboardMap(map.value).map(k => ({ ...k, state: states[k.key] ?? ('untested' as const) }))
/** As many as can be read: a line that is half written takes nothing off the drawing of the others. */
const keys = computed(() =>
  map.value.split('\n').flatMap(line => {
    try {
      return readKeyboardMap(line).map(k => ({ ...k, state: states[k.key] ?? ('untested' as const) }))
    } catch {
      return []
    }
  }),
)
const columns = computed(() => [...new Set(keys.value.map(k => k.column))])
const rows = computed(() => [...new Set(keys.value.map(k => k.row))].sort((a, b) => Number(a.slice(1)) - Number(b.slice(1))))
const at2 = (row: string, column: string) => keys.value.find(k => k.row === row && k.column === column)
const order: KeyState[] = ['untested', 'works', 'fails', 'sticks']
const press = (key: MatrixKey) => (states[key.key] = order[(order.indexOf(key.state) + 1) % order.length]!)
const all = (state: KeyState) => keys.value.forEach(k => (states[k.key] = state))

const { result, at } = useInstrument(
  () => ({
    keys: keysOf(),
    // The field asks for them in this order.
    fromConnector: true,
    printed: printed.value,
    diodes: diodes.value,
    lines: lines.value
      .split('\n')
      .filter(l => l.trim())
      .map((l, i) => {
        const [line = '', ohm = ''] = l.trim().split(/\s+/)
        if (!ohm) throw new InputError('lines', l, `Line ${i + 1}: the row or column, then ohms or OL.`)
        return { line, ohm: parseReading(ohm, 'Ω', 'lines') }
      }),
    shorted: shorted.value
      .split('\n')
      .filter(l => l.trim())
      .map((l, i) => {
        const [row = '', column = '', types = ''] = l.trim().split(/\s+/)
        if (!['types', 'nothing'].includes(types)) throw new InputError('shorted', l, `Line ${i + 1}: row, column, then types or nothing.`)
        return { row, column, types: types === 'types' }
      }),
  }),
  judgeMatrix,
  told => {
    emit('input', told)
    emit('map', told && { kind: 'keyboard', keys: map.value.trim(), printed: printed.value, diodes: diodes.value })
  },
)
const signs = { untested: '', works: '○', fails: '×', sticks: '=' } as const
const looks = {
  untested: '',
  works: 'border-fine! text-fine!',
  fails: 'border-stop! bg-stop-wash text-stop!',
  sticks: 'border-care! bg-care-wash text-care!',
} as const

/** Keys of a real keyboard, while somebody listens for them; how long each was down, for those that are slow or chatter. */
const listening = ref(false)
const heard = ref<{ key: string; times: number; lastMs: number }[]>([])
const since = new Map<string, number>()
const nameOf = (event: KeyboardEvent) => (event.key.length === 1 ? event.key.toUpperCase() : event.code)
useEventListener('keydown', event => {
  if (!listening.value || event.repeat || event.key === 'Escape' || event.key === 'Tab') {
    if (event.key === 'Escape') listening.value = false
    return
  }
  event.preventDefault()
  since.set(nameOf(event), event.timeStamp)
  const key = keys.value.find(k => k.key.toUpperCase() === nameOf(event))
  if (key) states[key.key] = 'works'
})
useEventListener('keyup', event => {
  if (!listening.value) return
  const name = nameOf(event)
  const began = since.get(name)
  if (began === undefined) return
  const lastMs = Math.round(event.timeStamp - began)
  const before = heard.value.find(h => h.key === name)
  heard.value = [...heard.value.filter(h => h.key !== name), { key: name, times: (before?.times ?? 0) + 1, lastMs }]
})
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
    <OneCard title="The keys" hint="Press a key on the drawing until it says what it does: works, fails, sticks.">
      <div class="overflow-x-auto">
        <table aria-label="Keys by row and column">
          <thead>
            <tr>
              <td></td>
              <th v-for="column in columns" :key="column" class="figure px-1 text-sm font-normal">{{ column }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row">
              <th class="figure pr-1 text-sm font-normal">{{ row }}</th>
              <td v-for="column in columns" :key="column" class="p-0.5">
                <button
                  v-if="at2(row, column)"
                  type="button"
                  class="button figure min-h-11 w-14 justify-center px-0!"
                  :class="looks[at2(row, column)!.state]"
                  :aria-label="`${at2(row, column)!.key}: ${at2(row, column)!.state}`"
                  @click="press(at2(row, column)!)"
                >
                  {{ at2(row, column)!.key }} {{ signs[at2(row, column)!.state] }}
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="flex flex-wrap gap-2">
        <button type="button" class="button button-quiet" @click="all('works')">All work</button>
        <button type="button" class="button button-quiet" @click="all('untested')">None tested</button>
        <button type="button" class="button" :aria-pressed="listening" @click="listening = !listening">
          {{ listening ? 'Listening: press each key, Escape ends' : 'Listen to a real keyboard' }}
        </button>
      </p>
      <p v-if="heard.length" class="hint" role="status">
        Heard:
        {{
          heard
            .map(h => `${h.key}${h.times > 1 ? ` ×${h.times}` : ''} (${h.lastMs} ms)`)
            .slice(-12)
            .join(', ')
        }}. A key counted twice for one press chatters. What a key takes before it is reported cannot be seen from here; over about 60 ms people press harder.
      </p>
      <FieldFrame
        id="map"
        v-slot="{ described }"
        label="Columns with their keys, from the connector on"
        hint="C1: 1 2 3 Q; a dash where there is none"
        :message="at('keys')"
      >
        <textarea id="map" v-model="map" class="entry figure text-sm" rows="6" :aria-describedby="described" :aria-invalid="!!at('keys')" />
      </FieldFrame>
      <div class="grid gap-3 sm:grid-cols-2">
        <FieldFrame id="lines" v-slot="{ described }" label="Lines measured, Ω" hint="C3 3k6; OL for open" :message="at('lines')">
          <textarea id="lines" v-model="lines" class="entry figure text-sm" rows="3" :aria-describedby="described" :aria-invalid="!!at('lines')" />
        </FieldFrame>
        <FieldFrame id="shorted" v-slot="{ described }" label="Shorted from outside" hint="R1 C3 types, or nothing" :message="at('shorted')">
          <textarea id="shorted" v-model="shorted" class="entry figure text-sm" rows="3" :aria-describedby="described" :aria-invalid="!!at('shorted')" />
        </FieldFrame>
      </div>
      <div class="flex flex-wrap gap-x-5">
        <label class="flex min-h-11 items-center gap-2"><input v-model="printed" type="checkbox" class="h-5 w-5 accent-enamel" />Lines in conductive ink</label>
        <label class="flex min-h-11 items-center gap-2"><input v-model="diodes" type="checkbox" class="h-5 w-5 accent-enamel" />A diode at each key</label>
      </div>
    </OneCard>
    <OneCard title="Possible causes">
      <template v-if="result">
        <InstrumentFace
          label="Faults that explain it"
          :figure="String(result.faults.length)"
          :judgement="result.keyByKey ? `not ${result.keyByKey}, key by key` : 'no key fails'"
          :level="result.faults.length ? 'care' : 'note'"
        />
        <FindingList :findings="result.findings" />
        <div v-if="result.measure.length" class="border-l-4 border-note bg-note-wash px-3 py-2">
          <p class="font-semibold">Measure next</p>
          <ol>
            <li v-for="one in result.measure" :key="one.what">
              {{ one.what }} <span class="hint">{{ one.expect }}</span>
            </li>
          </ol>
        </div>
      </template>
      <EmptyPlace v-else says="Enter the keys; what would explain them will appear here." />
    </OneCard>
  </div>
</template>
