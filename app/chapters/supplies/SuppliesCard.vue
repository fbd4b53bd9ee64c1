<script setup lang="ts">
import { type Supply, labelWords } from '#core/power/supply-match'
import type { CommandRequest } from '#shared/chapters/index'
import type { SupplyView } from '#shared/chapters/supplies/index'

/** The external and bench supplies that the collection keeps; a machine's sheet offers those that suit. */
defineProps<{ supplies: SupplyView[] }>()
const session = useSession()
const typedOf = ({ voltageV, kind, polarity, currentA, regulated, unloadedV, outerMm, innerMm }: Partial<Supply>) => ({
  voltageV: voltageV ?? '',
  kind: kind ?? null,
  polarity: polarity ?? null,
  currentA: currentA ?? '',
  regulated: regulated ?? null,
  unloadedV: unloadedV ?? '',
  outerMm: outerMm ?? '',
  innerMm: innerMm ?? '',
})
const blank = { name: '', place: '', label: typedOf({ kind: 'dc' }) } as Partial<CommandRequest<'add-supply'>>
const words = {
  'name': 'Name',
  'place': 'Where it lies',
  'label.voltageV': 'Volts',
  'label.currentA': 'Amperes',
  'label.kind': 'AC or DC',
  'label.polarity': 'Polarity',
  'active': 'Still here',
}
</script>

<template>
  <OneCard title="Supplies" hint="What stands on the label. A machine’s sheet, under Make safe, offers those that suit it.">
    <EmptyPlace
      v-if="!supplies.length"
      says="No supply is on record. With their labels here, a machine’s sheet says which one suits and which would harm it."
    />
    <ul v-else class="grid divide-y divide-line border-y border-line">
      <ChangeableRow v-for="supply in supplies" :key="supply.id" :name="supply.name" :may="session.may('change-supply')" :gone="supply.active ? '' : 'Gone'">
        <span class="figure font-semibold">{{ supply.name }}</span><span
          >{{ labelWords(supply.label) }}{{ supply.label.regulated === false ? ', not regulated' : '' }}</span
        ><span class="hint">{{ supply.place }}</span>
        <template #form="{ close }">
          <CommandForm
            command="change-supply"
            :initial="
              { name: supply.name, place: supply.place, label: typedOf(supply.label), active: supply.active } as Partial<CommandRequest<'change-supply'>>
            "
            :fixed="{ supplyId: supply.id, version: supply.version }"
            :words="words"
            :label="`Change ${supply.name}`"
            submit="Save"
            keeps
            class="bg-mat p-3"
            @done="close()"
            ><SupplyFields /><TickField name="active" label="Still here"
          /></CommandForm>
        </template>
      </ChangeableRow>
    </ul>
    <AddPanel v-if="session.may('add-supply')" v-slot="{ close }" label="Add a supply"
      ><CommandForm command="add-supply" :initial="blank" label="Add a supply" submit="Add" @done="close()"><SupplyFields /></CommandForm
    ></AddPanel>
  </OneCard>
</template>
