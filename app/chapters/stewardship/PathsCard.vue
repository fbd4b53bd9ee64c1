<script setup lang="ts">
import { paths } from '#core/condition/triage'
import type { SheetOf } from '#shared/chapters/index'

/** What can become of it: appraised, ranked with its reasons, and chosen by the coordinator. */
const props = defineProps<{ sheet: SheetOf<'stewardship' | 'look'> }>()
const session = useSession()
const appraising = ref(false)
const choices = computed(() => props.sheet.triage?.paths.map(p => ({ value: p.path, label: p.title })) ?? [])
</script>

<template>
  <OneCard
    title="Its path"
    hint="A recommendation with its reasons; people decide."
    :state="sheet.appraisal?.path ? 'done' : 'open'"
    :result="
      sheet.appraisal?.path ? `${paths[sheet.appraisal.path].title}. ${sheet.appraisal.pathReason}` : sheet.triage ? 'Not chosen yet' : 'Not appraised yet'
    "
  >
    <template v-if="session.may('appraise') && sheet.triage" #aside
      ><button type="button" class="button button-quiet" :aria-expanded="appraising" @click="appraising = !appraising">
        {{ appraising ? 'Leave it' : 'Appraise again' }}
      </button></template
    >
    <p v-if="sheet.appraisal?.path" class="border-l-4 border-enamel bg-mat px-3 py-2">
      <strong>{{ paths[sheet.appraisal.path].title }}.</strong> {{ sheet.appraisal.pathReason }}
    </p>
    <EmptyPlace
      v-if="!sheet.triage"
      says="Not appraised yet. Say what matters about it and what it would take; the paths will appear here, each with what speaks for it."
    >
      <button v-if="session.may('appraise')" type="button" class="button" :aria-expanded="appraising" @click="appraising = !appraising">Appraise it</button>
    </EmptyPlace>
    <AppraisalForm v-if="appraising" :sheet="sheet" class="bg-mat p-3" @done="appraising = false" />
    <template v-if="sheet.triage">
      <RankedPaths :result="sheet.triage" :chosen="sheet.appraisal?.path" />
      <AddPanel v-if="session.may('choose-path')" v-slot="{ close }" label="Choose its path"
        ><CommandForm
          command="choose-path"
          :machine="sheet.tag"
          :initial="{ path: undefined, reason: '' }"
          label="Choose its path"
          submit="Choose it"
          @done="close()"
          ><ChoiceField name="path" label="Path" :options="choices" /><TextField name="reason" label="Reason" :lines="2" /></CommandForm
      ></AddPanel>
    </template>
  </OneCard>
</template>
