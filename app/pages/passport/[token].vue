<script setup lang="ts">
import { grades, presenceNames } from '#core/condition/grades'
import { lifeNames, stageNames } from '#core/kernel/stages'
import type { ErrorAnswer } from '#shared/kernel/answers'
import type { Passport } from '#shared/chapters/home/index'

definePageMeta({ layout: 'plain' })
const route = useRoute()
const token = String(route.params.token)
const { data } = await useFetch<Passport | ErrorAnswer>(`/api/passport/${token}`, { ignoreResponseError: true })
const passport = computed(() => (data.value && !('error' in data.value) ? data.value : undefined))
useHead({
  title: () => (passport.value ? `Passport of ${passport.value.name} ${passport.value.tag}` : 'Passport'),
  meta: [{ name: 'robots', content: 'noindex' }],
})
const event = useRequestEvent()
if (event && !passport.value) event.node.res.statusCode = 404
const day = (at: string) => new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' }).format(new Date(at))
</script>

<template>
  <main class="mx-auto max-w-3xl p-4 py-8">
    <div v-if="!passport" class="card grid gap-2">
      <h1>No passport here</h1>
      <p>There is no passport at this link, or it has been switched off. Ask the person who gave you the link.</p>
    </div>
    <article v-else class="card grid gap-5 p-6">
      <header class="grid gap-2 border-b border-line pb-4">
        <p class="hint">{{ passport.collection }}: machine passport</p>
        <div class="flex flex-wrap items-center justify-between gap-3">
          <h1 class="text-3xl">{{ passport.name }}</h1>
          <TagTape :tag="passport.tag" />
        </div>
        <img
          v-if="passport.portrait"
          :src="`/api/passport/${token}/portrait`"
          :alt="`${passport.name}, as it looks`"
          class="max-h-80 w-full border border-line object-cover"
        />
        <p>
          <template v-if="passport.maker">{{ passport.maker }}</template><template v-if="passport.serial">, no. {{ passport.serial }}</template>
        </p>
        <p>{{ passport.about }}</p>
        <div class="flex flex-wrap items-center gap-x-6 gap-y-1">
          <GateSign :verdict="passport.gate" /><span>{{
            passport.life && passport.stage === 'home' ? `Home: ${lifeNames[passport.life].title.toLowerCase()}` : `Now in: ${stageNames[passport.stage]}`
          }}</span
          ><span class="hint">Here since {{ day(passport.bookedInAt) }}</span>
        </div>
        <p class="hint">
          This record says what was checked. It does not say that the machine may be switched on where you are: that is for trained people there and your local
          rules.
        </p>
      </header>
      <section v-if="passport.pictures" class="grid gap-2">
        <h2>Before and after</h2>
        <div class="grid gap-3 sm:grid-cols-2">
          <figure v-for="side in ['before', 'after'] as const" :key="side" class="grid content-start gap-1">
            <img :src="`/api/passport/${token}/${side}`" :alt="passport.pictures[side].caption" class="w-full border border-line" />
            <figcaption class="hint">{{ side === 'before' ? 'Before' : 'After' }}: {{ passport.pictures[side].caption }}.</figcaption>
          </figure>
        </div>
      </section>
      <section v-if="passport.partsSought.length">
        <h2>Parts wanted</h2>
        <ul class="ml-5 list-disc">
          <li v-for="part in passport.partsSought" :key="part.name">{{ part.quantity }} × {{ part.name }}</li>
        </ul>
      </section>
      <section>
        <h2>Condition</h2>
        <dl class="grid gap-x-6 sm:grid-cols-2">
          <div v-for="a in passport.assemblies" :key="a.name" class="flex justify-between gap-3 border-b border-line py-1">
            <dt>{{ a.name }}</dt>
            <dd>{{ a.grade === null ? presenceNames[a.presence] : `Grade ${a.grade}, ${grades[a.grade]?.title.toLowerCase()}` }}</dd>
          </div>
        </dl>
      </section>
      <section v-if="passport.dateCodes.length">
        <h2>Date codes</h2>
        <p>{{ passport.made }}</p>
        <ul class="ml-5 list-disc">
          <li v-for="code in passport.dateCodes" :key="code">{{ code }}</li>
        </ul>
      </section>
      <section>
        <h2>Faults</h2>
        <ul v-if="passport.faults.length" class="ml-5 list-disc">
          <li v-for="fault in passport.faults" :key="fault.symptom">
            {{ fault.symptom }} <span class="hint">{{ fault.open ? 'open' : 'closed' }}</span>
          </li>
        </ul>
        <p v-else>None known.</p>
      </section>
      <section v-if="passport.questions.length">
        <h2>Open questions</h2>
        <ul class="ml-5 list-disc">
          <li v-for="question in passport.questions" :key="question">{{ question }}</li>
        </ul>
      </section>
      <section>
        <h2>History</h2>
        <ol class="grid gap-1">
          <li v-for="(line, i) in passport.history" :key="i" class="grid gap-x-4 sm:grid-cols-[7.500rem_1fr]">
            <span class="hint figure">{{ day(line.at) }}</span><span>{{ line.says }}</span>
          </li>
        </ol>
      </section>
      <footer class="hint border-t border-line pt-3">
        <p>Donor, owner, prices, place and people are left out. {{ passport.proof.entries }} entries in the whole history; hash of the newest:</p>
        <p class="figure break-all">{{ passport.proof.hash }}</p>
        <p class="no-print">The same <a :href="`/api/passport/${token}`">as JSON</a>, by <a href="/api/passport/schema">its schema</a>.</p>
      </footer>
    </article>
  </main>
</template>
