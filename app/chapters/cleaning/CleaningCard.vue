<script setup lang="ts">
import { cautionsFor } from '#core/safety/cautions'
import type { SheetOf } from '#shared/chapters/index'

/** What was cleaned, with what, by whom. */
defineProps<{ sheet: SheetOf<'cleaning'> }>()
const session = useSession()
const times = useTimes()
</script>

<template>
  <OneCard title="Cleaning" :state="sheet.cleanings.length ? 'done' : 'open'" stays hint="Test briefly before hours of cosmetic work.">
    <CautionNote about="dust-mould" />
    <EmptyPlace v-if="!sheet.cleanings.length" says="Nothing cleaned yet. Loose dirt comes first." />
    <ul v-else class="grid divide-y divide-line">
      <li v-for="one in sheet.cleanings" :key="one.id" class="py-1.5">
        <p>{{ one.what }}: {{ one.withWhat }}</p>
        <p class="hint">
          {{ times.day(one.at) }}<template v-if="one.byWhom">, {{ one.byWhom }}</template>
        </p>
      </li>
    </ul>
    <AddPanel v-if="session.may('record-cleaning')" v-slot="{ close }" label="Record a cleaning" :open="!sheet.cleanings.length"
      ><CommandForm
        command="record-cleaning"
        :machine="sheet.tag"
        :initial="{ what: '', withWhat: '', byWhom: session.person?.name ?? '' }"
        label="Record a cleaning"
        submit="Record it"
        @done="close()"
        ><template #default="{ values }"
          ><TextField name="what" label="What was cleaned" /><TextField name="withWhat" label="With what" /><CautionNote
            v-for="about in cautionsFor(`${values.what} ${values.withWhat}`)"
            :key="about"
            :about="about" /><TextField name="byWhom" label="By whom" /></template></CommandForm
    ></AddPanel>
  </OneCard>
</template>
