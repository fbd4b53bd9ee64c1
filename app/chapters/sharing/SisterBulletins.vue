<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

/** What was learned on sisters, and whether somebody has looked for it here. */
const props = defineProps<{ sheet: SheetOf<'sharing'> }>()
const session = useSession()
const unread = computed(() => props.sheet.bulletins.filter(b => !b.read))
</script>

<template>
  <OneCard
    v-if="sheet.bulletins.length"
    title="What others of this model had"
    :state="unread.length ? 'open' : 'done'"
    :result="unread.length ? `${unread.length} to look for` : 'Looked for'"
    hint="Bulletins of its model: look for each before it is found the hard way."
  >
    <ul class="grid gap-2">
      <li
        v-for="one in sheet.bulletins"
        :key="one.uid"
        class="grid gap-1 border-l-4 px-3 py-1"
        :class="one.read ? 'border-line' : 'border-care bg-care-wash'"
        :aria-label="one.happens"
      >
        <p>
          <strong>{{ one.happens }}</strong> <span v-if="one.read" class="hint">looked for</span>
        </p>
        <p v-if="one.seeBy"><span class="hint">How to see it</span> {{ one.seeBy }}</p>
        <p v-if="one.doThis"><span class="hint">What to do</span> {{ one.doThis }}</p>
        <p class="hint">{{ one.evidence }}</p>
        <CommandForm
          v-if="!one.read && session.may('read-bulletin')"
          command="read-bulletin"
          :machine="sheet.tag"
          :initial="{ found: '' }"
          :fixed="{ uid: one.uid }"
          :label="`Looked for: ${one.happens}`"
          submit="Save finding"
          ><TextField name="found" label="What was found here"
        /></CommandForm>
      </li>
    </ul>
  </OneCard>
</template>
