<script setup lang="ts">
import { PhDownloadSimple, PhPrinter } from '~/kernel/signs/icons'
import type { SheetOf } from '#shared/chapters/index'

/** What leaves the house: the label inside, the passport, the whole record as a file. */
const props = defineProps<{ sheet: SheetOf<'home'> }>()
const session = useSession()
const { submitCommand: switchPassport, busy } = useCommand('switch-passport', () => props.sheet.tag)
const whole = ref(false)
const archive = computed(() => `/api/machines/${encodeURIComponent(props.sheet.tag)}/archive${whole.value ? '?whole=1' : ''}`)
</script>

<template>
  <OneCard
    title="Label inside"
    state="none"
    result="To print and put in"
    hint="Date, what was replaced, what is kept, and a code that opens its passport."
    stays
  >
    <p>
      <NuxtLink :to="`/m/${sheet.tag}/label`" class="button button-main"><PhPrinter aria-hidden="true" />Open the label</NuxtLink>
    </p>
  </OneCard>
  <OneCard
    title="Passport"
    :state="sheet.passport.on ? 'done' : 'none'"
    :result="sheet.passport.on ? 'Anyone with its link can read it' : 'Switched off'"
    hint="The public record: identity, history, faults and parts wanted. No donor, owner, price, place or person."
    stays
  >
    <template v-if="sheet.passport.on"
      ><p>Anyone with this link can read it:</p>
      <p>
        <NuxtLink :to="sheet.passport.path!" class="figure break-all">{{ sheet.passport.path }}</NuxtLink>
      </p></template
    >
    <p v-else>It is switched off; nobody outside the collection can read it.</p>
    <p class="hint">
      Symptoms, observations and notes appear in your own words. Names of people, owner, giver and place are taken out where they are known; still, name nobody
      in them.
    </p>
    <p v-if="session.may('switch-passport')">
      <button type="button" class="button" :disabled="busy" @click="switchPassport({ on: !sheet.passport.on, diary: sheet.passport.diary })">
        {{ sheet.passport.on ? 'Switch it off' : 'Switch it on' }}
      </button>
    </p>
    <p v-else class="hint">A coordinator can switch it on.</p>
    <label v-if="session.may('switch-passport')" class="flex min-h-11 items-center gap-2"
      ><input
        type="checkbox"
        class="h-5 w-5 accent-enamel"
        :checked="sheet.passport.diary"
        :disabled="busy"
        @change="switchPassport({ on: sheet.passport.on, diary: !sheet.passport.diary })"
      />Include what broke or was lost on the bench</label
    >
  </OneCard>
  <OneCard
    v-if="session.may('switch-passport')"
    title="The record as a file"
    state="none"
    result="To download"
    hint="JSON, readings as CSV, photographs, and the journal with its hashes, in one zip."
    stays
  >
    <label class="flex min-h-11 items-center gap-2"
      ><input v-model="whole" type="checkbox" class="h-5 w-5 accent-enamel" />With names, owner, prices and places: not for strangers</label
    >
    <p>
      <a :href="archive" class="button" download><PhDownloadSimple aria-hidden="true" />Download the record</a>
    </p>
    <p class="hint">Anyone can check it with <code class="figure">npm run verify -- file.zip</code>.</p>
  </OneCard>
</template>
