<script setup lang="ts">
import { PhDownloadSimple, PhPrinter } from '~/kernel/signs/icons'
import { photographUrl } from '#shared/chapters/look/index'
import type { LetterView } from '#shared/chapters/stewardship/index'

/** A letter to the owner, as it was written: to be printed and signed, or taken as a mail message. */
const route = useRoute()
const session = useSession()
const times = useTimes()
const [tag, id] = [String(route.params.tag), String(route.params.id)]
const { sheet } = useSheet(tag, ['stewardship'])
const { found: letter, trouble } = useCollection<LetterView>(['letter', id], `/api/letters/${id}`)
useHead({ title: `Letter ${tag}` })
/** The message is laid into the outbox a moment after the letter was kept. */
const laidOut = computed(() => sheet.value?.stewardship.letters.find(l => String(l.id) === id)?.sent ?? false)
const print = () => window.print()
</script>

<template>
  <div class="grid max-w-3xl gap-4">
    <div class="no-print flex flex-wrap items-center gap-3">
      <NuxtLink :to="`/m/${tag}?stage=look`">Back to the sheet</NuxtLink
      ><button type="button" class="button button-main" @click="print"><PhPrinter aria-hidden="true" />Print</button
      ><a v-if="laidOut" :href="`/api/letters/${id}/message`" class="button"><PhDownloadSimple aria-hidden="true" />Download as email</a
      ><span v-else-if="letter" class="hint" role="status">On its way to the outbox…</span>
    </div>
    <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
    <p v-else-if="!letter" role="status" class="hint">Fetching…</p>
    <article v-else class="grid gap-4 border border-line bg-white p-8 text-black print:border-0 print:p-0" aria-label="Letter">
      <header class="flex flex-wrap justify-between gap-4">
        <p class="font-display text-lg font-semibold">{{ session.collection?.name }}</p>
        <p>{{ times.day(letter.at) }}</p>
      </header>
      <p>To {{ letter.owner }}</p>
      <h1 class="text-xl!">{{ letter.subject }}</h1>
      <p v-for="paragraph in letter.paragraphs" :key="paragraph">{{ paragraph }}</p>
      <section v-for="list in letter.lists" :key="list.title" class="grid gap-1">
        <h2>{{ list.title }}</h2>
        <ul class="ml-5 list-disc">
          <li v-for="line in list.lines" :key="line">{{ line }}</li>
        </ul>
      </section>
      <p v-for="(line, i) in letter.closing" :key="i" :class="i === 1 && 'mb-8'">{{ line }}</p>
      <section v-if="letter.photographs.length" class="grid gap-3 sm:grid-cols-2 print:grid-cols-2">
        <figure v-for="photograph in letter.photographs" :key="photograph.hash" class="break-inside-avoid">
          <img :src="photographUrl(photograph.hash, 'working')" :alt="photograph.caption" class="w-full border border-gray-400" />
          <figcaption class="text-sm">{{ photograph.caption }}</figcaption>
        </figure>
      </section>
    </article>
  </div>
</template>
