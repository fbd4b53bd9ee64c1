<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import type { SheetOf } from '#shared/chapters/index'

/** Date codes off the chips, each with what it reads as. */
defineProps<{ sheet: SheetOf<'arrive'> }>()
const session = useSession()
</script>

<template>
  <OneCard
    title="Date codes"
    :state="sheet.dateCodes.length ? 'done' : 'open'"
    :result="counted(sheet.dateCodes.length, 'code')"
    stays
    hint="The machine is as young as its youngest original part."
  >
    <EmptyPlace v-if="!sheet.dateCodes.length" says="No code read yet. Most are four digits: year and week." />
    <ul v-else class="grid gap-2">
      <li v-for="code in sheet.dateCodes" :key="code.id" class="flex flex-wrap items-baseline gap-x-3">
        <span class="reading">{{ code.code }}</span><span>{{ code.says }}</span
        ><span class="hint">{{ [code.part, code.reworked && 'reworked', code.socketed && 'in a socket'].filter(Boolean).join(', ') }}</span>
      </li>
    </ul>
    <DatingVerdict v-if="sheet.dating" :dating="sheet.dating" class="border-t border-line pt-3" />
    <AddPanel v-if="session.may('read-date-code')" label="Read a date code"><DateCodeForm :sheet="sheet" /></AddPanel>
  </OneCard>
</template>
