<script setup lang="ts">
import { PhPrinter } from '~/kernel/signs/icons'
import type { EveningStory } from '#shared/chapters/plan/index'

/** How an evening went, from what was written down; it can be put right and sent as a letter. */
const route = useRoute()
const session = useSession()
const times = useTimes()
const day = String(route.params.day)
const { found: story, trouble } = useCollection<EveningStory>(['evening', day, 'story'], `/api/evenings/${encodeURIComponent(day)}/story`)
useHead({ title: `Evening of ${day}` })
const shown = computed(() => times.day(`${day}T12:00:00.000Z`))
const print = () => window.print()
</script>

<template>
  <div class="grid max-w-3xl gap-4">
    <div class="no-print flex flex-wrap items-center gap-3">
      <NuxtLink to="/">Back to Today</NuxtLink><button type="button" class="button" @click="print"><PhPrinter aria-hidden="true" />Print</button>
    </div>
    <p v-if="!story" role="status" :class="trouble ? 'text-stop' : 'hint'">{{ trouble || 'Fetching the evening…' }}</p>
    <template v-else>
      <h1>The evening of {{ shown }}</h1>
      <OneCard title="How it went" hint="Told from what was written down that day, and from nothing else.">
        <p v-for="line in story.lines" :key="line">{{ line }}</p>
      </OneCard>
      <OneCard title="As a letter" class="no-print" hint="Saved in the outbox as an email; nothing is sent on its own.">
        <ul v-if="story.letters.length" class="grid divide-y divide-line">
          <li v-for="letter in story.letters" :key="letter.uid" class="py-1">
            {{ letter.to || 'To be printed' }}
            <span class="hint">{{ letter.by }}, {{ times.moment(letter.at) }}; {{ letter.sent ? 'in the outbox' : 'on its way to the outbox' }}</span>
          </li>
        </ul>
        <CommandForm
          v-if="session.may('tell-evening')"
          command="tell-evening"
          :initial="{ lines: story.lines, to: '' }"
          :fixed="{ day }"
          label="Write the letter"
          submit="Save to outbox"
          ><LinesField name="lines" label="What it says, a sentence a line" :rows="Math.min(14, story.lines.length + 3)" /><TextField
            name="to"
            label="E-mail address"
            hint="Leave empty to add the address later"
            type="email"
        /></CommandForm>
      </OneCard>
    </template>
  </div>
</template>
