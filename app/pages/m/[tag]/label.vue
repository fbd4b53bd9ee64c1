<script setup lang="ts">
import { PhPrinter } from '~/kernel/signs/icons'
import { gateWords } from '#core/safety/gate-words'
import { volts } from '#core/power/rails'
import { limitWords } from '#core/retest/sign-off'
import { lifeNames } from '#core/kernel/stages'

/** The label that goes inside the case: dated, with what was done and what to watch. */
const route = useRoute()
const session = useSession()
const times = useTimes()
const clock = useClock()
const tag = String(route.params.tag)
useHead({ title: `Label ${tag}` })
const { sheet, trouble } = useSheet(tag, ['power', 'proving', 'home'])
const replaced = computed(() => sheet.value?.done.replaced ?? [])
const kept = computed(() => sheet.value?.bags.filter(b => b.ended === null) ?? [])
const { addressOf, thisComputerOnly } = useMachineAddress()
/** The passport where there is one, the sheet otherwise. */
const code = computed(() =>
  sheet.value?.passport.on && sheet.value.passport.path ? addressOf(tag).replace(/\/m\/.*$/, sheet.value.passport.path) : addressOf(tag),
)
const print = () => window.print()
</script>

<template>
  <div class="grid max-w-2xl gap-4">
    <div class="no-print flex flex-wrap items-center gap-3">
      <NuxtLink :to="`/m/${tag}?stage=home`">Back to the sheet</NuxtLink
      ><button type="button" class="button button-main" @click="print"><PhPrinter aria-hidden="true" />Print</button><PrintLabels kind="inside" :tags="[tag]" />
    </div>
    <p v-if="thisComputerOnly" class="no-print border-l-4 border-care bg-care-wash px-3 py-2">
      Its code opens the address of this page, which only this computer reaches. Open the page under the address that phones use, and print it from there.
    </p>
    <p v-if="sheet && !sheet.passport.on" class="no-print hint">Its passport is switched off: the code opens its sheet, for people who are signed in.</p>
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
        <div class="grid justify-items-end gap-1"><TagTape :tag="tag" /><QrCode :text="code" class="h-28 w-28" /></div>
      </header>
      <p>{{ session.collection?.name }}, {{ times.day(clock.now.toISOString()) }}</p>
      <section>
        <h2>Replaced and repaired</h2>
        <ul v-if="replaced.length" class="ml-5 list-disc">
          <li v-for="one in replaced" :key="one">{{ one }}</li>
        </ul>
        <p v-else>Nothing.</p>
      </section>
      <section v-if="sheet.done.patches.length">
        <h2>Wires</h2>
        <ul class="ml-5 list-disc">
          <li v-for="one in sheet.done.patches" :key="one" class="figure text-sm">{{ one }}</li>
        </ul>
      </section>
      <section v-if="kept.length">
        <h2>Originals kept</h2>
        <ul class="ml-5 list-disc">
          <li v-for="one in kept" :key="one.id">{{ one.part }}: {{ one.bag }}</li>
        </ul>
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
        {{
          sheet.signOff.standing
            ? `signed off ${times.day(sheet.signOff.standing.at)}${sheet.signOff.standing.limits ? `, ${limitWords(sheet.signOff.standing.limits)}` : ''}`
            : 'not signed off'
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
