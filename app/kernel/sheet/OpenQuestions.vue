<script setup lang="ts">
import type { SheetHead } from '#shared/kernel/machine'

/** Questions that nobody could answer yet, and things seen in passing. */
const props = defineProps<{ sheet: SheetHead }>()
const session = useSession()
const open = computed(() => props.sheet.questions.filter(q => !q.settled))
</script>

<template>
  <OneCard title="Open questions" beside :result="open.length > 1 ? `${open.length}: ${open[0]!.question}` : (open[0]?.question ?? 'None')">
    <p v-if="!open.length" class="hint">None. What was seen in passing and not understood belongs here.</p>
    <ul v-else class="grid divide-y divide-line">
      <li v-for="question in open" :key="question.id" class="grid gap-1 py-2 first:pt-0">
        <p>{{ question.question }}</p>
        <AddPanel v-if="session.may('settle-question')" v-slot="{ close }" label="Settle it"
          ><CommandForm
            command="settle-question"
            :machine="sheet.tag"
            :initial="{ answer: '' }"
            :fixed="{ questionId: question.id }"
            label="Settle the question"
            submit="Settle"
            @done="close()"
            ><TextField name="answer" label="Answer" :lines="2" /></CommandForm
        ></AddPanel>
      </li>
    </ul>
    <AddPanel v-if="session.may('ask-question')" v-slot="{ close }" label="Ask a question"
      ><CommandForm command="ask-question" :machine="sheet.tag" :initial="{ question: '' }" label="Ask a question" submit="Save question" @done="close()"
        ><TextField name="question" label="Question" :lines="2" /></CommandForm
    ></AddPanel>
  </OneCard>
</template>
