<script setup lang="ts">
import { parseQuantity } from '#core/kernel/quantity'
import { judgeSpending } from '#core/stewardship/consent'
import { money } from '#core/kernel/money'
import type { Finding } from '#core/kernel/finding'
import type { SheetOf } from '#shared/chapters/index'

/** What has been spent on it, and whether more may be; judged as the amount is typed. */
const props = defineProps<{ sheet: SheetOf<'stewardship'> }>()
const session = useSession()
const times = useTimes()
const held = computed(() => props.sheet.stewardship)
const inParts = computed(() => Math.max(0, held.value.spent - held.value.spendings.reduce((sum, one) => sum + one.amount, 0)))
function judged(typed: unknown): Finding[] {
  try {
    const amount = parseQuantity(String(typed ?? ''), '')
    return judgeSpending({ ours: held.value.ours, consent: held.value.consent, spentSoFar: held.value.spent, amount, currency: held.value.currency })
  } catch {
    // What is no number yet is told at the field once it was left.
    return []
  }
}
</script>

<template>
  <OneCard title="Spent on it" :state="held.spent ? 'done' : 'none'" :result="money(held.spent, held.currency)" :stays="held.spent > 0">
    <template #aside
      ><span class="reading">{{ money(held.spent, held.currency) }}</span></template
    >
    <EmptyPlace v-if="!held.spendings.length && !inParts" says="Nothing has been spent on it." />
    <ul v-else class="grid divide-y divide-line">
      <li v-for="one in held.spendings" :key="one.id" class="flex flex-wrap justify-between gap-x-3 py-1">
        <span
          >{{ one.what }} <span class="hint">{{ times.day(one.at) }}</span></span
        ><span class="figure">{{ money(one.amount, held.currency) }}</span>
      </li>
      <li v-if="inParts" class="flex flex-wrap justify-between gap-x-3 py-1">
        <span>Parts, by what they cost <span class="hint">off the ledger</span></span
        ><span class="figure">{{ money(inParts, held.currency) }}</span>
      </li>
    </ul>
    <AddPanel v-if="session.may('record-spending')" label="Spend on it">
      <CommandForm command="record-spending" :machine="sheet.tag" :initial="{ what: '', amount: '' }" label="Spend on it" submit="Save expense">
        <template #default="{ values }"
          ><TextField name="what" label="What for" hint="Not parts of the ledger: they count by themselves once they are set aside or fitted." /><TextField
            name="amount"
            :label="`Amount in ${held.currency}`"
            numeric />
          <div aria-live="polite"><FindingList :findings="judged(values.amount)" /></div
        ></template>
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
