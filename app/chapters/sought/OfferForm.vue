<script setup lang="ts">
import { offerKinds } from '#core/sharing/sought'

/** Somebody of the house has one, or knows of one. */
const props = defineProps<{ partId: number; name: string }>()
const emit = defineEmits<{ done: [] }>()
const kinds = (['have', 'know'] as const).map(value => ({ value, label: offerKinds[value].title }))
</script>

<template>
  <CommandForm
    command="offer-part"
    :initial="{ kind: 'have', says: '' }"
    :fixed="{ partId: props.partId }"
    :label="`About ${name}`"
    submit="Tell the coordinators"
    class="bg-mat p-3"
    @done="emit('done')"
  >
    <ChoiceField name="kind" label="What you can do" :options="kinds" /><TextField
      name="says"
      label="What you have, or know"
      :lines="2"
      hint="Where it is, how it is, and whether you give or lend it"
    />
  </CommandForm>
</template>
