<script setup lang="ts">
import { type NeedStops, needStops, needs } from '#core/parts/needs'
import type { PartKindName } from '#core/parts/substitute/substitute'

/** What is wanted and what hangs on it; the same fields for a new need and for one that is changed. */
defineProps<{ stops?: NeedStops; kind?: PartKindName | null }>()
const session = useSession()
const options = needStops.map(value => ({ value, label: needs[value].title }))
const people = computed(() => session.crew.filter(p => p.role !== 'reader').map(p => ({ value: p.id, label: p.name })))
</script>

<template>
  <div class="grid gap-3">
    <div class="grid gap-3 sm:grid-cols-[1fr_8rem]"><TextField name="name" label="Part" /><TextField name="quantity" label="How many" numeric /></div>
    <ChoiceField name="stops" label="What it stops" :options="options" />
    <TextField v-if="stops === 'function'" name="affects" label="Which function" hint="Such as: sound, the second drive" />
    <div class="grid gap-3 sm:grid-cols-2">
      <TextField name="place" label="For which place" hint="Such as: main board, IC7" /><TextField
        name="workaround"
        label="Until then"
        hint="What will do without it, if anything; a start waits no more then"
      />
      <DayField name="byWhen" label="Wanted by" /><PickField name="seekerId" label="Who looks for it" :options="people" empty="Nobody yet" />
    </div>
    <div class="grid gap-3 sm:grid-cols-2">
      <TextField name="wouldDo" label="What would do instead" :lines="2" hint="A line each, with its limit: Chip B: no colour" /><TextField
        name="forFirstStart"
        label="What does for a first start"
        :lines="2"
        hint="A line each, as: Chip C: runs hot"
      />
    </div>
    <SpecFormFields :kind="kind" />
  </div>
</template>
