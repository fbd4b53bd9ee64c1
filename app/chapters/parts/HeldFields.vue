<script setup lang="ts">
import { partConditions } from '#core/parts/ledger'
import type { PartKindName } from '#core/parts/substitute/substitute'

/** What a line of the ledger says of its parts; the same for a new one and for one that is changed. */
defineProps<{ kind?: PartKindName | null; lender?: string }>()
const conditions = choicesOf(partConditions)
</script>

<template>
  <div class="grid gap-3">
    <div class="grid gap-3 sm:grid-cols-2">
      <TextField name="name" label="Part" /><TextField name="lies" label="Where it lies" hint="Such as: Box B, drawer 3" />
    </div>
    <ChoiceField name="condition" label="How it is" :options="conditions" />
    <div class="grid gap-3 sm:grid-cols-2">
      <TextField name="source" label="From whom" /><TextField name="unitPrice" label="Price of one" hint="In the money of the collection" numeric />
      <TextField name="lender" label="Whose it is" hint="Empty: ours" /><DayField v-if="lender" name="backBy" label="Back to them by" />
      <TextField name="keepAtLeast" label="Keep at least" hint="Where fewer lie there, it is among what to buy" numeric />
      <TextField name="dateCode" label="Date code" hint="It travels with the part and never dates a machine" /><TextField name="note" label="Note" />
    </div>
    <SpecFormFields :kind="kind" />
  </div>
</template>
