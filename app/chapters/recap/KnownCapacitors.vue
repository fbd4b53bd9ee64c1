<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import type { SheetOf } from '#shared/chapters/index'

/** What is known of the boards of its model, issue by issue: taken over where it has no list of them; and its own list kept for the next one. */
const props = defineProps<{ sheet: SheetOf<'recap'> }>()
const session = useSession()
const { submitCommand: take, busy: taking, failure: notTaken } = useCommand('take-known-capacitors', () => props.sheet.tag)
const { submitCommand: keep, busy: keeping, failure: notKept } = useCommand('keep-capacitors', () => props.sheet.tag)
type Known = (typeof props.sheet.recap.known)[number]
const issue = ({ variant }: Known) => (variant ? `its issue ${variant}`.replace('issue issue', 'issue') : 'its model, with no issue named')
const doubt = ({ sameIssue }: Known) =>
  sameIssue
    ? ''
    : props.sheet.recap.issue
      ? `This machine is ${props.sheet.recap.issue}: hold each place against the board.`
      : 'Which issue this machine is is not written down: hold each place against the board.'
</script>

<template>
  <p v-for="known in sheet.recap.known" :key="known.variant" class="flex flex-wrap items-center gap-2">
    <span>{{ counted(known.capacitors, 'capacitor') }} known of {{ issue(known) }}.</span><span v-if="doubt(known)" class="text-care">{{ doubt(known) }}</span
    ><button v-if="session.may('take-known-capacitors')" type="button" class="button" :disabled="taking" @click="take({ variant: known.variant })">
      Take over what is known
    </button>
  </p>
  <p v-if="sheet.recap.capacitors.length && sheet.recap.keptFor && session.may('keep-capacitors')">
    <button type="button" class="button button-quiet" :disabled="keeping" @click="keep({})">Keep this list for {{ sheet.recap.keptFor }}</button>
  </p>
  <p v-if="notTaken || notKept" role="alert" class="text-stop">{{ notTaken || notKept }}</p>
</template>
