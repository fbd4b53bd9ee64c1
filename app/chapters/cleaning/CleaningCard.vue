<script setup lang="ts">
import { cautionsFor } from '#core/safety/cautions'
import type { SheetOf } from '#shared/chapters/index'

/** What was cleaned beside the plan, with what, by whom. */
defineProps<{ sheet: SheetOf<'cleaning'> }>()
const session = useSession()
const times = useTimes()
</script>

<template>
  <OneCard
    title="Beside the plan"
    :state="sheet.cleanings.length ? 'done' : 'none'"
    :result="sheet.cleanings.map(c => `${c.what}: ${c.withWhat}`).join('; ') || 'Nothing recorded'"
    hint="Test briefly before hours of cosmetic work."
  >
    <ul v-if="sheet.cleanings.length" class="grid divide-y divide-line border-y border-line">
      <li v-for="one in sheet.cleanings" :key="one.id" class="py-1">
        {{ one.what }}: {{ one.withWhat }}
        <span class="hint">{{ times.day(one.at) }}{{ one.byWhom && `, ${one.byWhom}` }}</span>
      </li>
    </ul>
    <AddPanel v-if="session.may('record-cleaning')" v-slot="{ close }" label="Record a cleaning" :open="!sheet.cleanings.length"
      ><CommandForm
        command="record-cleaning"
        :machine="sheet.tag"
        :initial="{ what: '', withWhat: '', byWhom: session.person?.name ?? '' }"
        label="Record a cleaning"
        submit="Save"
        @done="close()"
        ><template #default="{ values }"
          ><div class="grid gap-3 sm:grid-cols-3">
            <TextField name="what" label="What was cleaned" /><TextField name="withWhat" label="With what" /><TextField name="byWhom" label="By whom" />
          </div>
          <CautionNote v-for="about in cautionsFor(`${values.what} ${values.withWhat}`)" :key="about" :about="about" /></template></CommandForm
    ></AddPanel>
  </OneCard>
</template>
