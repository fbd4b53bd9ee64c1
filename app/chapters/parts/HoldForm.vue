<script setup lang="ts">
import { heldPlaces } from '#core/parts/ledger'
import { type HeldView, heldAtFirst } from '#shared/chapters/parts/index'

/** Puts parts on record; those that are still in a donor, from its own sheet. */
const props = defineProps<{ donor?: string }>()
const emit = defineEmits<{ done: [] }>()
const places = heldAtFirst.map(value => ({ value, label: heldPlaces[value] }))
const initial = computed(() => ({
  name: '',
  count: '1',
  ...(props.donor ? {} : { at: 'shelf' as const, tag: '' }),
  condition: (props.donor ? 'used' : 'new') as 'used' | 'new',
  lies: '',
  source: '',
  unitPrice: '',
  keepAtLeast: '',
  dateCode: '',
  lender: '',
  backBy: null,
  note: '',
  kind: null,
  spec: {},
  dueBy: null,
}))
</script>

<template>
  <CommandForm
    command="hold-part"
    :initial="initial"
    :fixed="donor ? { at: 'donor', tag: donor } : {}"
    label="Put a part on record"
    submit="Put on record"
    @done="emit('done')"
  >
    <template #default="{ values }">
      <div class="grid gap-3 sm:grid-cols-[8rem_1fr]">
        <TextField name="count" label="How many" numeric /><ChoiceField v-if="!donor" name="at" label="Where it is" :options="places" />
      </div>
      <TextField v-if="!donor && values.at === 'donor'" name="tag" label="The donor’s tag" hint="A machine whose path is to give its parts" />
      <DayField v-if="values.at === 'ordered' || values.at === 'pledged'" name="dueBy" label="Expected by" />
      <HeldFields :kind="values.kind as HeldView['kind']" :lender="values.lender as string" />
    </template>
  </CommandForm>
</template>
