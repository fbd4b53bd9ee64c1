<script setup lang="ts">
import { type ClaimMade, claimKindOf, claimKinds } from '#core/identify/claim-outcomes'
import { type ClaimVerdict, claimVerdictNames, claimVerdicts } from '#shared/chapters/arrive/index'
import type { SheetOf } from '#shared/chapters/index'

/** What was said of it, and what was found. A claim stays as it was made. */
const props = defineProps<{ sheet: SheetOf<'arrive'> }>()
const session = useSession()
const judging = ref<number>()
const kinds = [
  ...titlesOf(claimKinds).map(k => ({ ...k, label: k.label.charAt(0).toUpperCase() + k.label.slice(1) })),
  { value: 'other' as const, label: 'Something else' },
]
const kindOf = (claim: ClaimMade) => kinds.find(k => k.value === claimKindOf(claim))?.label.toLowerCase()
const inks: Record<ClaimVerdict, string> = { open: 'text-ink-2', confirmed: 'text-fine', refuted: 'text-stop', undecided: 'text-care' }
const fared = computed(() => {
  const { confirmed, refuted, undecided } = props.sheet.sourceFared
  const told = [confirmed && `${confirmed} confirmed`, refuted && `${refuted} refuted`, undecided && `${undecided} undecided`].filter(Boolean)
  return told.length ? `Of what ${props.sheet.identity.fromWhom} claimed, over all machines: ${told.join(', ')}.` : ''
})
</script>

<template>
  <OneCard
    title="Claimed"
    hint="Evidence, not facts."
    :state="sheet.claims.some(c => c.verdict === 'open') || !sheet.claims.length ? 'open' : 'done'"
    :result="sheet.claims.map(c => `“${c.says}” ${claimVerdictNames[c.verdict].toLowerCase()}`).join('; ')"
  >
    <EmptyPlace v-if="!sheet.claims.length" says="No claims yet. What the giver says about it will appear here, in their words." />
    <ul v-else class="grid divide-y divide-line">
      <li v-for="claim in sheet.claims" :key="claim.id" class="grid gap-1 py-2 first:pt-0">
        <p>
          “{{ claim.says }}” <span v-if="claim.byWhom" class="hint">{{ claim.byWhom }}</span>
        </p>
        <p class="flex flex-wrap items-baseline gap-x-2">
          <span class="font-semibold" :class="inks[claim.verdict]">{{ claimVerdictNames[claim.verdict] }}</span><span class="hint">{{ claim.because }}</span
          ><span v-if="kindOf(claim)" class="hint"
            >{{ claim.kind ? 'Counts as' : 'By its words' }} <em>{{ kindOf(claim) }}</em></span
          ><button
            v-if="session.may('judge-claim')"
            type="button"
            class="ml-auto text-sm underline"
            :aria-expanded="judging === claim.id"
            @click="judging = judging === claim.id ? undefined : claim.id"
          >
            Say what you found<span class="sr-only"> about “{{ claim.says }}”</span>
          </button>
        </p>
        <CommandForm
          v-if="judging === claim.id"
          command="judge-claim"
          :machine="sheet.tag"
          :initial="{ verdict: claim.verdict, because: claim.because, kind: claimKindOf(claim) ?? 'other' }"
          :fixed="{ claimId: claim.id, version: claim.version }"
          :words="{ verdict: 'Verdict', because: 'Because of', kind: 'What kind of claim' }"
          label="Judge the claim"
          submit="Save"
          keeps
          @done="judging = undefined"
          ><ChoiceField name="verdict" label="The claim is" :options="claimVerdicts.map(value => ({ value, label: claimVerdictNames[value] }))" /><TextField
            name="because"
            label="Because of"
            hint="The observation, reading or test"
            :lines="2" /><ChoiceField
            name="kind"
            label="What kind of claim"
            :options="kinds"
            hint="Claims of the same kind are counted together, to see how often they turn out right"
        /></CommandForm>
      </li>
    </ul>
    <p v-if="fared" class="hint border-t border-line pt-2">{{ fared }}</p>
    <AddPanel v-if="session.may('add-claim')" v-slot="{ close }" label="Add a claim"
      ><CommandForm command="add-claim" :machine="sheet.tag" :initial="{ says: '', byWhom: '' }" label="Add a claim" submit="Save claim" @done="close()"
        ><TextField name="says" label="Claim" :lines="2" /><TextField name="byWhom" label="By whom" /></CommandForm
    ></AddPanel>
  </OneCard>
</template>
