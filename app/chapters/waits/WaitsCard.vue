<script setup lang="ts">
import { type WaitKind, waitKinds } from '#core/cleaning/wait-kinds'
import type { SheetHead } from '#shared/kernel/machine'

/** What it waits for: drying, the post, an answer. */
const props = defineProps<{ sheet: SheetHead }>()
const session = useSession()
const clock = useClock()
const times = useTimes()
const { submitCommand, busy, failure } = useCommand('end-wait', () => props.sheet.tag)
/** A wait that ends early only with a reason. */
const asked = ref<number>()
async function end(waitId: number) {
  const { fields } = await submitCommand({ waitId, found: '' })
  if (fields?.found) [asked.value, failure.value] = [waitId, '']
}
/** Which wait is being said anew, and what words made of it is let stand by one press. */
const saying = ref<number>()
const ask = (waitId: number) => (saying.value = saying.value === waitId ? undefined : waitId)
const { submitCommand: sayKind, busy: saysKind, failure: kindFailure } = useCommand('set-wait-kind', () => props.sheet.tag)
const letStand = (waitId: number, kind: WaitKind) => void sayKind({ waitId, kind, found: '' })
</script>

<template>
  <OneCard
    title="Waits"
    :state="sheet.waits.length ? 'open' : 'none'"
    :result="sheet.waits.length ? sheet.waits.map(w => w.what).join('; ') : 'None'"
    stays
    hint="They run on while the bench sleeps."
  >
    <CautionNote about="wet" />
    <EmptyPlace v-if="!sheet.waits.length" says="Nothing is being waited for." />
    <ul v-else class="grid divide-y divide-line">
      <li v-for="wait in sheet.waits" :key="wait.id" class="flex flex-wrap items-center gap-x-3 gap-y-1 py-2">
        <SandGlass :until="wait.until" class="text-lg" /><span>{{ wait.what }}</span
        ><span class="hint">until {{ times.moment(wait.until) }}</span
        ><span v-if="wait.said" class="hint">{{ waitKinds[wait.kind].title }}</span>
        <button v-if="session.may('end-wait')" type="button" class="button ml-auto" :disabled="busy" @click="end(wait.id)">
          {{ timeLeft(wait.until, clock.now) === 'over' ? 'It is done' : 'End it early' }}
        </button>
        <div v-if="!wait.said" class="flex basis-full flex-wrap items-baseline gap-x-3 border-l-4 border-note bg-note-wash px-3 py-1">
          <span
            >Read by its words as <strong>{{ waitKinds[wait.kind].title.toLowerCase() }}</strong>.</span
          >
          <template v-if="session.may('set-wait-kind')">
            <button type="button" class="button button-quiet" :disabled="saysKind" @click="letStand(wait.id, wait.kind)">That is right</button>
            <button type="button" class="button button-quiet" :aria-expanded="saying === wait.id" @click="ask(wait.id)">It is something else</button>
          </template>
        </div>
        <button v-else-if="session.may('set-wait-kind')" type="button" class="button button-quiet" :aria-expanded="saying === wait.id" @click="ask(wait.id)">
          Not {{ waitKinds[wait.kind].title.toLowerCase() }}?
        </button>
        <CommandForm
          v-if="saying === wait.id"
          command="set-wait-kind"
          :machine="sheet.tag"
          :initial="{ kind: wait.kind }"
          :fixed="{ waitId: wait.id }"
          label="What kind of wait"
          submit="Say so"
          class="basis-full"
          @done="saying = undefined"
          ><ChoiceField name="kind" label="It is" :options="titlesOf(waitKinds)"
        /></CommandForm>
        <CommandForm
          v-if="asked === wait.id"
          command="end-wait"
          :machine="sheet.tag"
          :initial="{ found: '' }"
          :fixed="{ waitId: wait.id }"
          label="End the wait early"
          submit="End it early"
          class="basis-full"
          @done="asked = undefined"
          ><TextField name="found" label="Why it ends early" hint="It counts as wet until somebody has looked"
        /></CommandForm>
      </li>
    </ul>
    <p v-if="failure || kindFailure" role="alert" class="text-stop">{{ failure || kindFailure }}</p>
    <AddPanel v-if="session.may('start-wait')" v-slot="{ close }" label="Start a wait"><WaitForm :tag="sheet.tag" @done="close()" /></AddPanel>
  </OneCard>
</template>
