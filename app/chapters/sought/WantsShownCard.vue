<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

/** Whether what this machine wants stands on the public list, with a picture and a line of its own. */
const props = defineProps<{ sheet: SheetOf<'sought'> }>()
const session = useSession()
const shown = computed(() => props.sheet.wantsShown)
const photographs = computed(() => [
  { value: null, label: 'No photograph' },
  ...shown.value.photographs.map(({ id, says }) => ({ value: id as number | null, label: says })),
])
const result = computed(() => (shown.value.shows ? (shown.value.boardOpen ? 'on it' : 'on it, and it is closed') : 'not on it'))
</script>

<template>
  <OneCard title="Public list of parts" :state="shown.shows ? 'done' : 'none'" :result="result" beside>
    <p v-if="shown.shows">
      What it wants stands on <a href="/sought" target="_blank">the list that anybody may read</a
      >{{ shown.boardOpen ? '' : ', once that is opened under Parts, Offers' }}: its model and the parts, and no name of a person, owner or place.
    </p>
    <p v-else>What it wants is read by the house alone.</p>
    <CommandForm
      v-if="session.may('show-wants')"
      command="show-wants"
      :machine="sheet.tag"
      :initial="{ shows: shown.shows, says: shown.says, photographId: shown.photographId }"
      label="On the public list"
      submit="Save"
      keeps
    >
      <TickField name="shows" label="On the public list" />
      <TextField name="says" label="What to say of it" :lines="2" hint="Such as what it was used for, and what it would do again. It is public" /><PickField
        name="photographId"
        label="Photograph"
        :options="photographs"
        empty="No photograph"
      />
    </CommandForm>
  </OneCard>
</template>
