<script setup lang="ts">
import { planPatch } from '#core/continuity/patch-plan'
import { decidingLevel } from '#core/kernel/finding'
import { InputError } from '#core/kernel/input-error'
import { parseQuantity } from '#core/kernel/quantity'
import { continuityPatchPlan } from '#shared/tools/continuity/patch-plan'

/** The pieces of a broken net, and what is kept free: the wires, and what to cut. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { pieces, keepOuts = [], vias = [], currentA } = continuityPatchPlan.example
const typed = reactive({
  pieces: pieces.flatMap((piece, i) => piece.map(l => `${i + 1} ${l.name} ${l.xMm} ${l.yMm} ${l.leg ? 'leg' : 'pad'}`)).join('\n'),
  keepOuts: keepOuts.map(k => `${k.outline[0]!.join(' ')} ${k.outline[2]!.join(' ')} ${k.why}`).join('\n'),
  vias: vias.map(v => `${v.xMm} ${v.yMm}`).join('\n'),
  currentA: String(currentA),
  mostDropV: '0.05',
})
const side = ref<'front' | 'back'>('back')
/** The cells of each line that says something. */
const lines = (text: string) =>
  text
    .split('\n')
    .map((line, i) => ({ cells: line.trim().split(/[\s,;]+/), at: i + 1 }))
    .filter(({ cells }) => cells[0])

function piecesTyped() {
  const by = new Map<string, { name: string; xMm: number; yMm: number; leg: boolean }[]>()
  for (const { cells, at: line } of lines(typed.pieces)) {
    const [piece = '', name, x, y, kind = 'leg'] = cells
    if (!name || !x || !y) throw new InputError('pieces', typed.pieces, `Line ${line}: piece, pin, x and y in mm, then leg or pad, such as 1 U7.12 10 12 leg.`)
    const landing = { name, xMm: parseQuantity(x, '', 'pieces'), yMm: parseQuantity(y, '', 'pieces'), leg: kind !== 'pad' }
    by.set(piece, [...(by.get(piece) ?? []), landing])
  }
  return [...by.values()]
}
function keepOutsTyped() {
  return lines(typed.keepOuts).map(({ cells, at: line }) => {
    if (cells.length < 4) throw new InputError('keepOuts', typed.keepOuts, `Line ${line}: two corners in mm and what it is, such as 20 2 30 24 socket.`)
    const [x1, y1, x2, y2] = cells.slice(0, 4).map(cell => parseQuantity(cell, '', 'keepOuts')) as [number, number, number, number]
    return {
      outline: [
        [x1, y1],
        [x2, y1],
        [x2, y2],
        [x1, y2],
      ] as [number, number][],
      why: cells.slice(4).join(' '),
    }
  })
}
const viasTyped = () =>
  lines(typed.vias).map(({ cells, at: line }) => {
    if (cells.length < 2) throw new InputError('vias', typed.vias, `Line ${line}: x and y in mm.`)
    return { xMm: parseQuantity(cells[0]!, '', 'vias'), yMm: parseQuantity(cells[1]!, '', 'vias') }
  })
const input = () => ({
  pieces: piecesTyped(),
  keepOuts: keepOutsTyped(),
  vias: viasTyped(),
  currentA: parseQuantity(typed.currentA, 'A', 'currentA'),
  mostDropV: parseQuantity(typed.mostDropV, 'V', 'mostDropV'),
  side: side.value,
})
const { result, at } = useInstrument(input, planPatch, told => emit('input', told))
const drawn = computed(() => (result.value ? { ...input(), wires: result.value.wires } : undefined))
const sideNames = [
  { value: 'back' as const, label: 'On the back' },
  { value: 'front' as const, label: 'On the front' },
]
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-[24rem_minmax(0,1fr)]">
    <OneCard title="The broken net">
      <FieldFrame
        id="pieces"
        v-slot="{ described }"
        label="Piece, pin, x, y, leg or pad"
        hint="In mm, seen from the front; one pin a line"
        :message="at('pieces')"
      >
        <textarea id="pieces" v-model="typed.pieces" class="entry figure text-sm" rows="5" :aria-describedby="described" :aria-invalid="!!at('pieces')" />
      </FieldFrame>
      <FieldFrame
        id="keep-outs"
        v-slot="{ described }"
        label="Kept free: two corners and what it is"
        hint="Sockets, holes, slots, hot parts"
        :message="at('keepOuts')"
      >
        <textarea
          id="keep-outs"
          v-model="typed.keepOuts"
          class="entry figure text-sm"
          rows="3"
          :aria-describedby="described"
          :aria-invalid="!!at('keepOuts')"
        />
      </FieldFrame>
      <FieldFrame id="vias" v-slot="{ described }" label="Bare vias, x and y" :message="at('vias')">
        <textarea id="vias" v-model="typed.vias" class="entry figure text-sm" rows="2" :aria-describedby="described" :aria-invalid="!!at('vias')" />
      </FieldFrame>
      <div class="grid grid-cols-2 gap-3">
        <MeasureField v-model="typed.currentA" label="Current, A" :message="at('currentA')" /><MeasureField
          v-model="typed.mostDropV"
          label="May be lost, V"
          :message="at('mostDropV')"
        />
      </div>
      <SelectField v-model="side" label="Route of the wires" :options="sideNames" />
    </OneCard>
    <OneCard title="The wires">
      <template v-if="result && drawn">
        <InstrumentFace
          label="Wire to cut in all"
          :figure="`${result.totalCutMm} mm`"
          :judgement="`gauge ${result.wire.awg}, ${result.wire.diameterMm.toFixed(2)} mm`"
          :level="decidingLevel(result.findings)"
        />
        <PatchDrawing :pieces="drawn.pieces" :keep-outs="drawn.keepOuts" :vias="drawn.vias" :wires="drawn.wires" :mirrored="side === 'back'" />
        <ul class="divide-y divide-line border-y border-line">
          <li v-for="wire in result.wires" :key="`${wire.a} ${wire.b}`" class="flex flex-wrap gap-x-4 py-1">
            <span class="figure font-semibold">{{ wire.a }} – {{ wire.b }}</span
            ><span>runs {{ wire.lengthMm }} mm</span><span class="figure">cut {{ wire.cutMm }} mm</span>
          </li>
        </ul>
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Enter the pieces; the wires will appear here." />
      <CautionNote about="solder" />
    </OneCard>
  </div>
</template>
