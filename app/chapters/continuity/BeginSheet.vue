<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

/** Which board, and which parts of it stand in the damage: the checks are planned from that. */
const props = defineProps<{ tag: string; boards: SheetOf<'continuity'>['continuity']['boards']; zones: SheetOf<'continuity'>['continuity']['zones'] }>()
const emit = defineEmits<{ done: [] }>()
const boardOf = (boardId: unknown) => props.boards.find(b => b.id === boardId)
const listed = (text: unknown) =>
  String(text ?? '')
    .split(/[\s,;]+/)
    .filter(Boolean)
const parts = ref('')
const bridges = ref('')
const outline = ref('')
const supplies = ref('')
const notSupplies = ref('')
const ids = [useId(), useId(), useId(), useId(), useId()]
const bridgeRows = computed(() =>
  bridges.value
    .split('\n')
    .map(line => line.trim().split(/[\s,;=]+/))
    .filter(([part]) => part)
    .map(([part = '', ohm = '']) => ({ part, ohm })),
)
const corners = computed(() => {
  const numbers = listed(outline.value).map(Number)
  return numbers.length >= 6 && numbers.length % 2 === 0 && numbers.every(Number.isFinite)
    ? Array.from({ length: numbers.length / 2 }, (_, i): [number, number] => [numbers[2 * i]!, numbers[2 * i + 1]!])
    : null
})
const outlineTrouble = computed(() => (outline.value.trim() && !corners.value ? 'x and y of three corners or more, in mm, such as 0 0 40 0 40 30.' : undefined))
// What cannot be read is sent as no corners, and refused: a zone must not silently be smaller than somebody meant.
const fixed = computed(() => ({
  parts: listed(parts.value),
  bridges: bridgeRows.value,
  outline: outlineTrouble.value ? [] : corners.value,
  supplies: listed(supplies.value),
  notSupplies: listed(notSupplies.value),
}))
/** A corner pressed on the drawing stands in the field too, where it can be put right. */
const addCorner = (x: number, y: number) => (outline.value = `${outline.value.trim()} ${x} ${y}`.trim())
const drawn = computed(() => {
  const numbers = listed(outline.value).map(Number)
  return numbers.every(Number.isFinite)
    ? Array.from({ length: Math.floor(numbers.length / 2) }, (_, i): [number, number] => [numbers[2 * i]!, numbers[2 * i + 1]!])
    : []
})
async function begun(result: unknown) {
  emit('done')
  await navigateTo(`/m/${props.tag}/probe/${(result as { sheetId: number }).sheetId}`)
}
</script>

<template>
  <CommandForm
    command="begin-probe-sheet"
    :machine="tag"
    :initial="{ boardId: boards[0]!.id, title: '', oneHop: true, leadsOhm: '0.2' as never, otherIssueRead: false }"
    :fixed="fixed"
    label="Begin a probe sheet"
    submit="Plan the checks"
    @done="begun"
  >
    <template #default="{ values }">
      <CautionNote about="mains" />
      <div class="grid gap-3 sm:grid-cols-2">
        <PickField
          name="boardId"
          label="Board"
          :options="boards.map(b => ({ value: b.id, label: `${b.name}${b.issue && `, issue ${b.issue}`}: ${b.nets} nets` }))"
        /><TextField name="title" label="What is probed" hint="Such as below the battery" />
      </div>
      <div class="grid gap-3 sm:grid-cols-2">
        <FieldFrame :id="ids[0]!" label="Parts in the damage" hint="Such as U7 U8 R31"
          ><input :id="ids[0]" v-model="parts" class="entry figure" autocomplete="off"
        /></FieldFrame>
        <FieldFrame :id="ids[1]!" label="Or its outline on the board, in mm" hint="x y of each corner, such as 0 0 40 0 40 30 0 30" :message="outlineTrouble"
          ><input :id="ids[1]" v-model="outline" class="entry figure" autocomplete="off"
        /></FieldFrame>
        <FieldFrame :id="ids[2]!" label="Resistors and printed jumpers between nets" hint="Part and ohms, one a line; else they are not asked">
          <textarea :id="ids[2]" v-model="bridges" class="entry figure" rows="2" />
        </FieldFrame>
        <FieldFrame :id="ids[3]!" label="Supply nets" hint="Besides those whose names say so, such as VCC and GND_A"
          ><input :id="ids[3]" v-model="supplies" class="entry figure" autocomplete="off"
        /></FieldFrame>
        <FieldFrame :id="ids[4]!" label="Nets that are not supplies" hint="Although their names suggest it"
          ><input :id="ids[4]" v-model="notSupplies" class="entry figure" autocomplete="off"
        /></FieldFrame>
        <TextField name="leadsOhm" label="The leads, tip to tip, Ω" numeric hint="Subtracted from every reading" />
      </div>
      <details class="border border-line px-3 py-2">
        <summary class="font-semibold">Draw it on the board</summary>
        <ZoneDrawing
          :board-id="Number(values.boardId)"
          :corners="drawn"
          :parts="listed(parts)"
          @corner="addCorner"
          @undo="outline = listed(outline).slice(0, -2).join(' ')"
          @clear="outline = ''"
        />
      </details>
      <TickField name="oneHop" label="Include nets one part further" />
      <p v-if="zones.some(z => z.boardId === values.boardId)" class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <span class="hint">Damage outlined on a photograph of it:</span>
        <button
          v-for="zone in zones.filter(z => z.boardId === values.boardId)"
          :key="zone.says"
          type="button"
          class="button"
          @click="outline = zone.outline.flat().join(' ')"
        >
          {{ zone.says }}
        </button>
      </p>
      <div v-if="!boardOf(values.boardId)?.sameIssue" class="border-l-4 border-care bg-care-wash p-3">
        <p>
          <strong>Its file is of issue {{ boardOf(values.boardId)?.issue || 'unknown' }}.</strong> Whether this machine’s board is the same, nobody has said:
          pins may differ. Strike what does not fit, under Models.
        </p>
        <TickField name="otherIssueRead" label="I have read this" />
      </div>
    </template>
  </CommandForm>
</template>
