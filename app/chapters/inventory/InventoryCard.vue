<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { bytesWords } from '#core/identify/inventory/known-parts'
import type { SheetOf } from '#shared/chapters/index'

/** What it is made of: chips and sockets by their places, counted, against what was said of it, and beside its sisters. */
const props = defineProps<{ sheet: SheetOf<'inventory'> }>()
const session = useSession()
const held = computed(() => props.sheet.inventory)
const assemblies = computed(() => [...new Set(held.value.lines.map(line => line.assembly))])
const open = (assembly: string) => held.value.lines.filter(line => line.assembly === assembly && !line.looked)
const of = (assembly: string) => held.value.lines.filter(line => line.assembly === assembly && line.looked)
const notLooked = computed(() => held.value.lines.filter(line => !line.looked).length)
const needed = computed(() => held.value.lines.filter(line => line.looked && line.mounting === 'empty' && line.need === 'needed').length)
const result = computed(() =>
  held.value.lines.length
    ? [
        ...(held.value.ramBytes ? [bytesWords(held.value.ramBytes)] : []),
        counted(held.value.lines.length, 'line'),
        ...(notLooked.value ? [`${notLooked.value} not looked at`] : []),
        ...(needed.value ? [`${needed.value} missing`] : []),
      ].join(', ')
    : 'None listed',
)
const { submitCommand: tick, failure: notTicked } = useCommand('tick-inventory', () => props.sheet.tag)
const { submitCommand: takeOver, busy, failure: notTaken } = useCommand('take-over-inventory', () => props.sheet.tag)
/** A longer list is folded, and drawn when it is opened. */
const mostOpen = 24
const unfolded = ref<Record<string, boolean>>({})
const isOpen = (assembly: string) => unfolded.value[assembly] ?? of(assembly).length <= mostOpen
</script>

<template>
  <OneCard
    title="Inventory"
    :state="notLooked ? 'open' : held.lines.length ? 'done' : 'none'"
    later
    :result="result"
    hint="Chips and sockets by their places, as they are read off the boards: what they hold is counted, and held against what was said."
  >
    <EmptyPlace v-if="!held.lines.length" says="None listed yet. Read the boards aloud, a line for what is alike." />
    <InventoryFindings v-else :groups="held.groups" :findings="held.findings" />
    <section v-for="assembly in assemblies" :key="assembly" class="grid gap-1" :aria-label="`Inventory of ${assembly}`">
      <template v-if="open(assembly).length">
        <div class="flex flex-wrap items-center gap-3">
          <h3>{{ assembly }}, to be looked through</h3>
          <button v-if="session.may('tick-inventory')" type="button" class="button" @click="tick({ lineIds: open(assembly).map(line => line.id) })">
            All {{ open(assembly).length }} as listed<span class="sr-only"> on {{ assembly }}</span>
          </button>
        </div>
        <ul class="grid divide-y divide-line border-y border-line">
          <InventoryRow v-for="line in open(assembly)" :key="line.id" :line="line" :tag="sheet.tag" @tick="id => tick({ lineIds: [id] })" />
        </ul>
      </template>
      <details v-if="of(assembly).length" :open="isOpen(assembly)" @toggle="unfolded[assembly] = ($event.target as HTMLDetailsElement).open">
        <summary class="font-semibold">{{ assembly }}, {{ counted(of(assembly).length, 'line') }}</summary>
        <ul v-if="isOpen(assembly)" class="grid divide-y divide-line border-y border-line">
          <InventoryRow v-for="line in of(assembly)" :key="line.id" :line="line" :tag="sheet.tag" />
        </ul>
      </details>
    </section>
    <template v-if="held.sisters.length">
      <h3>Sisters</h3>
      <div v-for="sister in held.sisters" :key="sister.tag" class="grid gap-2">
        <p class="flex flex-wrap items-center gap-3">
          <span>{{ sister.nickname || sister.tag }}{{ sister.variant && `, ${sister.variant}` }}, has an inventory: {{ counted(sister.lines, 'line') }}.</span>
          <button v-if="session.may('take-over-inventory')" type="button" class="button" :disabled="busy" @click="takeOver({ fromTag: sister.tag })">
            Take over its list<span class="sr-only"> from {{ sister.nickname || sister.tag }}</span>
          </button>
        </p>
        <BesideSister v-if="held.lines.length" :sheet="sheet" :sister="sister" />
      </div>
    </template>
    <p v-if="notTicked || notTaken" role="alert" class="text-stop">{{ notTicked || notTaken }}</p>
    <AddPanel v-if="session.may('list-inventory')" v-slot="{ close }" label="List parts">
      <CommandForm
        command="list-inventory"
        :machine="sheet.tag"
        :initial="{ assembly: assemblies[0] ?? '', typed: '' }"
        label="List parts"
        submit="Save the list"
        @done="close()"
      >
        <TextField name="assembly" label="On which assembly" hint="Such as Main board" />
        <TextField
          name="typed"
          label="The list"
          :lines="6"
          hint="U7 4116 15x socketed 8214; U1-U8: 4164; IC5 2716 “monitor 2.1”; U12 empty needed. Words and bits where the number is unknown: U3 X99 64K×4"
        />
        <InventoryPreview />
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
