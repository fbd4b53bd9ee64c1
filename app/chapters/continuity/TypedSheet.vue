<script setup lang="ts">
import { contactNames } from '#core/continuity/contact'
import type { ProbeSheet } from '#shared/chapters/continuity/index'

/** A printed sheet that was filled in at the bench, typed in at one go: number and what was read or heard, a check a line. */
const props = defineProps<{ tag: string; sheet: ProbeSheet }>()
const text = ref('')
const id = useId()
const done = ref(0)
const of = ref(0)
let given = false
const { submitCommand: answer, failure } = useCommand('answer-probe', () => props.tag)
const lines = computed(() =>
  text.value.split('\n').flatMap((raw, i) => {
    const [, no = '', said = ''] = /^\s*(\d+)[\s.:)]+(.+?)\s*$/.exec(raw) ?? []
    if (!raw.trim()) return []
    const check = props.sheet.checks[Number(no) - 1]
    const wrong = !said
      ? 'write the number of the check and what was read, such as “12 0.4” or “12 o”.'
      : !check
        ? `the sheet has no check ${no}.`
        : check.contact !== null
          ? `${no} is answered already: ${contactNames[check.contact].toLowerCase()}, by ${check.by}.`
          : ''
    return [{ line: i + 1, raw, said, check, wrong }]
  }),
)
const problems = computed(() => (of.value ? [] : lines.value.filter(l => l.wrong)))
const good = computed(() => lines.value.filter(l => !l.wrong))
/** One after the other; what cannot be taken stays in the field with its reason, and the rest goes on. */
async function keepAll() {
  given = false
  const sending = good.value.map(l => ({ ...l }))
  const left: string[] = lines.value.filter(l => l.wrong).map(l => l.raw)
  ;[done.value, of.value] = [0, sending.length]
  let first = ''
  for (const [i, { raw, said, check }] of sending.entries()) {
    if (given) {
      left.push(...sending.slice(i).map(l => l.raw))
      break
    }
    const { result, fields } = await answer({ checkId: check!.id, ...saidOf(said), beyond: check!.beyond })
    if (result === undefined) {
      left.push(raw)
      first ||= `${raw.trim()}: ${Object.values(fields ?? {})[0] ?? failure.value}`
    }
    done.value++
  }
  text.value = left.join('\n')
  ;[of.value, failure.value] = [0, first]
}
</script>

<template>
  <form class="grid gap-3" aria-label="Type in a printed sheet" @submit.prevent="keepAll">
    <FieldFrame :id="id" v-slot="{ described }" label="Number and reading, one a line" hint="Such as 12 0.4, or 13 OL; j, h, o, w for what was heard">
      <textarea :id="id" v-model="text" class="entry figure" rows="6" :readonly="of > 0" :aria-describedby="described" />
    </FieldFrame>
    <ul v-if="problems.length" class="max-h-32 overflow-auto text-stop">
      <li v-for="problem in problems" :key="problem.line">Line {{ problem.line }}: {{ problem.wrong }}</li>
    </ul>
    <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    <p class="flex flex-wrap items-center gap-3">
      <button type="submit" class="button" :disabled="of > 0 || !good.length">Save {{ good.length === 1 ? '1 reading' : `${good.length} readings` }}</button>
      <template v-if="of">
        <span role="status" class="figure">{{ done }} of {{ of }}</span>
        <button type="button" class="button button-quiet" @click="given = true">Stop here</button>
      </template>
    </p>
  </form>
</template>
