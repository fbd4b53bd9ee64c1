<script setup lang="ts">
import { limitWords } from '#core/retest/sign-off'
import { testedWords } from '#core/retest/test-sheet'
import type { SheetOf } from '#shared/chapters/index'

/** Whether it can be signed off, with every reason. */
const props = defineProps<{ sheet: SheetOf<'proving'> }>()
const session = useSession()
const times = useTimes()
/** What passed on the test sheet stands there already. */
const tested = computed(() => (props.sheet.testSheet ? testedWords(props.sheet.testSheet.lines, props.sheet.testSheet.looks) : ''))
</script>

<template>
  <OneCard title="Sign-off" :state="sheet.signOff.standing ? 'done' : 'open'" :result="sheet.signOff.standing ? 'Signed off' : 'Not signed off'" stays>
    <div v-if="sheet.signOff.standing" class="border-l-4 border-fine bg-fine-wash px-3 py-2">
      <p>
        <strong>Signed off{{ sheet.signOff.standing.limits ? `, ${limitWords(sheet.signOff.standing.limits)}` : '' }}</strong> by
        {{ sheet.signOff.standing.by }} on {{ times.day(sheet.signOff.standing.at) }}: {{ sheet.signOff.standing.statement }}
      </p>
      <p class="hint">It was checked as recorded here. It ends when a fault that stops the machine, a rail or the gate contradicts it.</p>
    </div>
    <FindingList :findings="sheet.signOff.findings" />
    <p v-if="sheet.repairers.length && !sheet.signOff.standing" class="hint">Repaired by {{ sheet.repairers.join(', ') }}: somebody else signs.</p>
    <CommandForm
      v-if="!sheet.signOff.standing && session.may('sign-off')"
      command="sign-off"
      :machine="sheet.tag"
      :initial="{ statement: tested, limits: null }"
      label="Sign off"
      submit="Sign it off"
      ><TextField
        name="statement"
        label="What was tested"
        :lines="2"
        hint="All keys, both drives, both ports, sound, colour, settings kept after a night; a period program for an hour or two" />
      <SignOffLimits
    /></CommandForm>
  </OneCard>
</template>
