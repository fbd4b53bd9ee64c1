<script setup lang="ts">
import { writtenDay } from '#core/kernel/days'
import { worksAsked } from '#core/stewardship/consent'
import { money } from '#core/kernel/money'
import type { SheetOf } from '#shared/chapters/index'

/** What the owner of a machine that is not ours has agreed to. */
const props = defineProps<{ sheet: SheetOf<'stewardship'> }>()
const session = useSession()
const times = useTimes()
const consent = computed(() => props.sheet.stewardship.consent)
const words = { allowed: 'What may be done', upTo: 'Up to what cost', mustAsk: 'What must be asked', agreedWith: 'Agreed with', agreedOn: 'Agreed on' }
const initial = computed(() => {
  const { version: _, ...agreed } = consent.value ?? { version: 0, allowed: [], upTo: '', mustAsk: '', agreedWith: '', agreedOn: '' }
  return agreed
})
const shown = (field: string, value: unknown) =>
  field === 'allowed' ? (value as (keyof typeof worksAsked)[]).map(w => worksAsked[w]).join('; ') || 'Nothing' : undefined
</script>

<template>
  <OneCard
    title="Consent of its owner"
    :state="consent ? 'done' : 'open'"
    :result="consent ? `Agreed with ${consent.agreedWith}` : 'Nothing agreed yet'"
    stays
    :hint="`It belongs to ${sheet.identity.owner}.`"
  >
    <EmptyPlace v-if="!consent" says="No consent has been recorded. Until then nothing is spent on it, and every step is asked for." />
    <template v-else>
      <ul class="grid gap-0.5 sm:grid-cols-2">
        <li v-for="(title, work) in worksAsked" :key="work" :class="consent.allowed.includes(work) ? 'text-fine' : 'text-care'">
          <span class="font-semibold">{{ consent.allowed.includes(work) ? 'May' : 'Ask' }}</span> <span class="text-ink">{{ title }}</span>
        </li>
      </ul>
      <dl class="grid gap-x-6 gap-y-1 sm:grid-cols-2">
        <div>
          <dt class="hint">Up to what cost</dt>
          <dd class="reading">{{ money(consent.upTo, sheet.stewardship.currency) }}</dd>
        </div>
        <div>
          <dt class="hint">Agreed</dt>
          <dd>
            with {{ consent.agreedWith }}<template v-if="consent.agreedOn">, {{ writtenDay(consent.agreedOn) }}</template>
          </dd>
        </div>
        <div v-if="consent.mustAsk" class="sm:col-span-2">
          <dt class="hint">Must be asked</dt>
          <dd>{{ consent.mustAsk }}</dd>
        </div>
      </dl>
    </template>
    <AddPanel v-if="session.may('record-consent')" v-slot="{ close }" label="Record what was agreed">
      <CommandForm
        command="record-consent"
        :machine="sheet.tag"
        :initial="initial"
        :fixed="{ version: consent?.version ?? 0 }"
        :words="words"
        :show="shown"
        label="Record what was agreed"
        submit="Save agreement"
        keeps
        @done="close()"
      >
        <TicksField name="allowed" label="What may be done" :options="choicesOf(worksAsked)" />
        <div class="grid gap-3 sm:grid-cols-2">
          <TextField name="upTo" :label="`Up to what cost, ${sheet.stewardship.currency}`" numeric /><TextField
            name="agreedWith"
            label="Agreed with"
          /><DayField name="agreedOn" label="Agreed on" rough hint="Such as 17 May 2026, or May 2026" /><TextField
            name="mustAsk"
            label="What must be asked"
            :lines="2"
          />
        </div>
      </CommandForm>
    </AddPanel>
    <ul v-if="sheet.stewardship.passedOver.length" class="grid gap-0.5">
      <li v-for="one in sheet.stewardship.passedOver" :key="one.work + one.at" class="text-care">
        <span class="font-semibold">Not asked:</span> {{ worksAsked[one.work] }}. <span class="text-ink">{{ one.reason }}</span>
        <span class="hint">&ensp;{{ one.by }}, {{ times.day(one.at) }}</span>
      </li>
    </ul>
    <AddPanel v-if="session.may('pass-over-consent')" v-slot="{ close }" label="Decide without asking">
      <CommandForm
        command="pass-over-consent"
        :machine="sheet.tag"
        :initial="{ work: undefined, reason: '' }"
        label="Decide without asking"
        submit="Save"
        @done="close()"
        ><PickField name="work" label="What is done" :options="choicesOf(worksAsked)" empty="Choose what" /><TextField
          name="reason"
          label="Why its owner is not asked"
          :lines="2"
      /></CommandForm>
    </AddPanel>
  </OneCard>
</template>
