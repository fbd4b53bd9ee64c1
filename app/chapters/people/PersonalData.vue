<script setup lang="ts">
import type { PersonView } from '#shared/chapters/people/index'

/** What is kept of somebody, to take along; and taking them out. */
defineProps<{ person: PersonView; own: boolean }>()
const session = useSession()
</script>

<template>
  <div class="grid gap-2">
    <p>
      <a :href="`/api/people/${person.id}/kept`" :download="`kept-of-${person.signInName}.json`" class="inline-flex min-h-8 items-center max-wide:min-h-11">{{
        own ? 'Download your data' : `Download the data of ${person.name}`
      }}</a>
    </p>
    <AddPanel v-if="!own && session.may('forget-person')" v-slot="{ close }" label="Remove this person"
      ><CommandForm
        command="forget-person"
        :initial="{ name: '' }"
        :fixed="{ personId: person.id, version: person.version }"
        :words="{ name: 'Their name' }"
        label="Remove this person"
        submit="Remove"
        @done="close()"
        ><p class="text-sm">
          Their name is taken out of every row and every entry, and they cannot sign in any more. What they did stays, by somebody who left; the history stays
          whole. What others wrote about them in their own words stays too, and is yours to look through. This cannot be undone, and backups made before still
          hold the name.
        </p>
        <TextField name="name" label="Their name" :hint="`Type ${person.name} to say that you mean it.`" autocomplete="off" /></CommandForm
    ></AddPanel>
  </div>
</template>
