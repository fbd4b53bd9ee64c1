<script setup lang="ts">
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
</script>

<template>
  <OneCard title="Waits" :state="sheet.waits.length ? 'open' : 'none'" stays hint="They run on while the bench sleeps.">
    <CautionNote about="wet" />
    <EmptyPlace v-if="!sheet.waits.length" says="Nothing is being waited for." />
    <ul v-else class="grid divide-y divide-line">
      <li v-for="wait in sheet.waits" :key="wait.id" class="flex flex-wrap items-center gap-x-3 gap-y-1 py-2">
        <SandGlass :until="wait.until" class="text-lg" /><span>{{ wait.what }}</span
        ><span class="hint">until {{ times.moment(wait.until) }}</span>
        <button v-if="session.may('end-wait')" type="button" class="button ml-auto" :disabled="busy" @click="end(wait.id)">
          {{ timeLeft(wait.until, clock.now) === 'over' ? 'It is done' : 'End it early' }}
        </button>
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
    <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    <AddPanel v-if="session.may('start-wait')" v-slot="{ close }" label="Start a wait"><WaitForm :tag="sheet.tag" @done="close()" /></AddPanel>
  </OneCard>
</template>
