<script setup lang="ts">
import { amountWords } from '#core/cleaning/shelf'
import type { CommandRequest } from '#shared/chapters/index'
import type { MaterialView } from '#shared/chapters/workshop/index'

/** The materials that cleaning uses up: how much is left, how strong, until when. */
defineProps<{ materials: MaterialView[] }>()
const session = useSession()
const times = useTimes()
const blank = { name: '', unit: 'ml', amount: '', strengthPct: '', openedOn: '', useBy: '', lowAt: '', place: '' } as unknown as Partial<
  CommandRequest<'add-material'>
>
const typedOf = ({ name, unit, amount, strengthPct, openedOn, useBy, lowAt, place, active }: MaterialView) =>
  ({
    name,
    unit,
    amount,
    strengthPct: strengthPct ?? '',
    openedOn: openedOn ?? '',
    useBy: useBy ?? '',
    lowAt: lowAt ?? '',
    place,
    active,
  }) as unknown as Partial<CommandRequest<'change-material'>>
const words = {
  name: 'Material',
  unit: 'Counted in',
  amount: 'How much',
  strengthPct: 'Strength',
  openedOn: 'Opened on',
  useBy: 'Use by',
  lowAt: 'Wanted from',
  place: 'Where',
  active: 'Still kept',
}
const dayOf = (day: string) => times.day(`${day}T12:00:00Z`)
</script>

<template>
  <OneCard title="On the shelf" hint="Steps of cleaning take what they used. What runs low is wanted from then on.">
    <EmptyPlace
      v-if="!materials.length"
      says="No material is on record. With its amount here, a step of cleaning takes what it used, and what runs low is wanted."
    />
    <ul v-else class="grid divide-y divide-line border-y border-line">
      <ChangeableRow v-for="one in materials" :key="one.id" :name="one.name" :may="session.may('change-material')" :gone="one.active ? '' : 'No longer kept'">
        <span class="font-semibold">{{ one.name }}{{ one.strengthPct === null ? '' : `, ${one.strengthPct} %` }}</span
        ><span class="figure">{{ amountWords(one.amount, one.unit) }}</span
        ><span class="hint">{{
          [one.openedOn && `opened ${dayOf(one.openedOn)}`, one.useBy && `use by ${dayOf(one.useBy)}`, one.place].filter(Boolean).join('; ')
        }}</span>
        <template #below><FindingList :findings="one.findings" /></template>
        <template #form="{ close }">
          <CommandForm
            command="change-material"
            :initial="typedOf(one)"
            :fixed="{ materialId: one.id, version: one.version }"
            :words="words"
            :label="`Change ${one.name}`"
            submit="Save"
            keeps
            class="bg-mat p-3"
            @done="close()"
            ><MaterialFields /><TickField name="active" label="Still kept"
          /></CommandForm>
        </template>
      </ChangeableRow>
    </ul>
    <AddPanel v-if="session.may('add-material')" v-slot="{ close }" label="Add a material"
      ><CommandForm command="add-material" :initial="blank" label="Add a material" submit="Add" @done="close()"><MaterialFields /></CommandForm
    ></AddPanel>
  </OneCard>
</template>
