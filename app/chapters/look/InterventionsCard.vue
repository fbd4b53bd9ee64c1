<script setup lang="ts">
import { type InterventionState, interventionKinds, interventionStateNames } from '#core/condition/interventions'
import type { SheetOf } from '#shared/chapters/index'

/** Signs that somebody was here before: logged as found, and undone only with a reason. */
const props = defineProps<{ sheet: SheetOf<'look'> }>()
const session = useSession()
/** Where nobody has looked, nothing logged says nothing. */
const unseen = computed(() => props.sheet.assemblies.some(a => a.presence === 'not-looked'))
const settling = ref<number>()
const inks: Record<InterventionState, string> = { 'not-understood': 'text-care', 'understood': 'text-fine', 'undone': 'text-note' }
const words = { state: 'State', note: 'Why' }
</script>

<template>
  <OneCard
    title="Earlier repairs and changes"
    short="Before us"
    hint="Log it as found; do not undo it yet."
    :state="sheet.interventions.some(i => i.state === 'not-understood') ? 'open' : sheet.interventions.length ? 'done' : unseen ? 'open' : 'none'"
    :result="sheet.interventions.map(i => `${interventionKinds[i.kind]}: ${interventionStateNames[i.state].toLowerCase()}`).join('; ') || 'Nothing logged'"
  >
    <EmptyPlace v-if="!sheet.interventions.length" says="Nothing logged. Look for lifted legs, added wires, flux, odd screws, hot glue, things unplugged." />
    <ul v-else class="grid divide-y divide-line">
      <li v-for="one in sheet.interventions" :key="one.id" class="grid gap-1 py-2 first:pt-0">
        <p class="flex flex-wrap items-baseline gap-x-3">
          <span class="font-semibold">{{ interventionKinds[one.kind] }}</span><span>{{ [one.assembly, one.where].filter(Boolean).join(', ') }}</span
          ><span :class="inks[one.state]">{{ interventionStateNames[one.state] }}</span
          ><NuxtLink v-if="one.photographId" :to="`/m/${sheet.tag}/photo/${one.photographId}`" class="text-sm">Photograph</NuxtLink
          ><button
            v-if="session.may('settle-intervention') && one.state !== 'undone'"
            type="button"
            class="ml-auto text-sm underline"
            :aria-expanded="settling === one.id"
            @click="settling = settling === one.id ? undefined : one.id"
          >
            Say what it is<span class="sr-only"> at {{ one.where }}</span>
          </button>
        </p>
        <p v-if="one.note" class="hint">{{ one.note }}</p>
        <CommandForm
          v-if="settling === one.id"
          command="settle-intervention"
          :machine="sheet.tag"
          :initial="{ state: one.state, note: one.note }"
          :fixed="{ interventionId: one.id, version: one.version }"
          :words="words"
          label="Say what it is"
          submit="Save"
          keeps
          class="bg-mat p-3"
          @done="settling = undefined"
          ><ChoiceField name="state" label="State" :options="choicesOf(interventionStateNames)" /><TextField
            name="note"
            label="Why it was done, or why it was undone"
            :lines="2"
        /></CommandForm>
      </li>
    </ul>
    <AddPanel v-if="session.may('log-intervention')" v-slot="{ close }" label="Log an intervention">
      <CommandForm
        command="log-intervention"
        :machine="sheet.tag"
        :initial="{ kind: undefined, assemblyId: null, where: '', note: '', understood: false, photographId: null }"
        label="Log an intervention"
        submit="Save"
        @done="close()"
      >
        <ChoiceField name="kind" label="Kind" :options="choicesOf(interventionKinds)" />
        <div class="grid gap-3 sm:grid-cols-2">
          <PickField name="assemblyId" label="On which assembly" :options="assemblyChoices(sheet)" /><TextField name="where" label="Where exactly" /><TextField
            name="note"
            label="What it looks like"
          /><PickField name="photographId" label="Photograph" :options="photographChoices(sheet)" />
        </div>
        <TickField name="understood" label="The reason is understood" />
      </CommandForm>
    </AddPanel>
  </OneCard>
</template>
