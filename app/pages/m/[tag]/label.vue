<script setup lang="ts">
import { PhPrinter } from '@phosphor-icons/vue'
import { gateWords } from '#core/safety/gate'
import { volts } from '#core/power/rails'
import { lifeNames } from '#core/planning/stages'

/** The label that goes inside the case: dated, with what was done and what to watch. */
const route = useRoute()
const session = useSession()
const times = useTimes()
const clock = useClock()
const tag = String(route.params.tag)
useHead({ title: `Label ${tag}` })
const { sheet, trouble } = useSheet(tag, ['power', 'proving', 'faults', 'parts'])
const replaced = computed(() => [
  ...(sheet.value?.parts.filter(p => p.outcome === 'fitted').map(p => `${p.quantity} × ${p.name}`) ?? []),
  ...(sheet.value?.faults.flatMap(f => f.repairs.filter(r => r.closes).map(r => r.did)) ?? []),
])
const print = () => window.print()
</script>

<template>
  <div class="grid max-w-2xl gap-4">
    <div class="no-print flex flex-wrap items-center gap-3">
      <NuxtLink :to="`/m/${tag}?stage=home`">Back to the sheet</NuxtLink
      ><button type="button" class="button button-main" @click="print"><PhPrinter aria-hidden="true" />Print</button>
    </div>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
    <p v-else-if="!sheet" role="status" class="hint">Fetching…</p>
    <article v-else class="grid gap-3 border-2 border-ink bg-white p-5 text-black" aria-label="Label inside">
      <header class="flex items-start justify-between gap-4">
        <div>
          <h1>{{ sheet.identity.nickname || sheet.identity.name }}</h1>
          <p>
            {{ sheet.identity.name }}<template v-if="sheet.identity.maker">, {{ sheet.identity.maker }}</template
            ><template v-if="sheet.identity.serial">, no. {{ sheet.identity.serial }}</template>
          </p>
        </div>
        <TagTape :tag="tag" />
      </header>
      <p>{{ session.collection?.name }}, {{ times.day(clock.now.toISOString()) }}</p>
      <section>
        <h2>Replaced and repaired</h2>
        <ul v-if="replaced.length" class="ml-5 list-disc">
          <li v-for="one in replaced" :key="one">{{ one }}</li>
        </ul>
        <p v-else>Nothing.</p>
      </section>
      <section>
        <h2>Rails as last read</h2>
        <p v-if="sheet.rails" class="figure">
          {{ sheet.rails.rails.map(r => `${r.name}: ${r.deciding ? volts(r.deciding.valueV) : 'not read'}`).join(' · ') }}
        </p>
        <p v-else>Not read.</p>
      </section>
      <p>
        <strong>When this was written:</strong> {{ gateWords[sheet.power.inForce].title.toLowerCase() }};
        {{ sheet.signOff.standing ? `signed off ${times.day(sheet.signOff.standing.at)}` : 'not signed off'
        }}<template v-if="sheet.life">; {{ lifeNames[sheet.life].title.toLowerCase() }}</template
        >. Check again before power.
      </p>
      <section v-if="sheet.questions.some(q => !q.settled)">
        <h2>Still open</h2>
        <ul class="ml-5 list-disc">
          <li v-for="q in sheet.questions.filter(q => !q.settled)" :key="q.id">{{ q.question }}</li>
        </ul>
      </section>
    </article>
  </div>
</template>
