<script setup lang="ts">
import { amountWords } from '#core/cleaning/shelf'
import type { CommandRequest } from '#shared/chapters/index'
import type { MaterialView } from '#shared/chapters/workshop/index'

/** The materials that cleaning uses up: how much is left, how strong, until when. */
defineProps<{ materials: MaterialView[] }>()
const session = useSession()
const times = useTimes()
const open = ref<number>()
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
      <li v-for="one in materials" :key="one.id" class="grid gap-1 py-1.5">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <span class="font-semibold">{{ one.name }}{{ one.strengthPct === null ? '' : `, ${one.strengthPct} %` }}</span
          ><span class="figure">{{ amountWords(one.amount, one.unit) }}</span
          ><span class="hint">{{
            [one.openedOn && `opened ${dayOf(one.openedOn)}`, one.useBy && `use by ${dayOf(one.useBy)}`, one.place].filter(Boolean).join('; ')
          }}</span
          ><span v-if="!one.active" class="text-ink-2">No longer kept</span
          ><button
            v-if="session.may('change-material')"
            type="button"
            class="ml-auto text-sm underline max-[899px]:min-h-11"
            :aria-expanded="open === one.id"
            @click="open = open === one.id ? undefined : one.id"
          >
            {{ open === one.id ? 'Close' : 'Change' }}<span class="sr-only"> {{ one.name }}</span>
          </button>
        </div>
        <FindingList :findings="one.findings" />
        <CommandForm
          v-if="open === one.id"
          command="change-material"
          :initial="typedOf(one)"
          :fixed="{ materialId: one.id, version: one.version }"
          :words="words"
          :label="`Change ${one.name}`"
          submit="Keep"
          keeps
          class="bg-mat p-3"
          @done="open = undefined"
          ><MaterialFields /><TickField name="active" label="Still kept"
        /></CommandForm>
      </li>
    </ul>
    <AddPanel v-if="session.may('add-material')" v-slot="{ close }" label="Add a material"
      ><CommandForm command="add-material" :initial="blank" label="Add a material" submit="Add it" @done="close()"><MaterialFields /></CommandForm
    ></AddPanel>
  </OneCard>
</template>
