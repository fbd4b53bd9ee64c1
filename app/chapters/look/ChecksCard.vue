<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'
import { checkOutcomeNames } from '#shared/chapters/look/index'

/** What damage seen so far asks to be looked at; each check is done once, and says what came of it. */
const props = defineProps<{ sheet: SheetOf<'look'> }>()
const session = useSession()
const settling = ref<string>()
const open = computed(() => props.sheet.checks.filter(c => !c.done))
const done = computed(() => props.sheet.checks.filter(c => c.done))
/** One reason is given once, over the checks that share it. */
const result = computed(() =>
  open.value.length
    ? `${open.value.length} of ${props.sheet.checks.length} to do`
    : `All ${done.value.length} done, ${done.value.filter(c => c.done!.outcome === 'found').length} with something found`,
)
const groups = computed(() => [...new Set(open.value.map(c => c.why))].map(why => ({ why, checks: open.value.filter(c => c.why === why) })))
</script>

<template>
  <OneCard
    v-if="sheet.checks.length"
    title="Checks called for by the damage"
    short="Checks"
    :hint="open.length ? `${open.length} to do.` : 'All done.'"
    :state="open.length ? 'open' : 'done'"
    :result="result"
  >
    <section v-for="group in groups" :key="group.why" class="grid gap-1">
      <p class="hint">
        {{ group.why }} <span class="italic">Source: {{ group.checks[0]!.source }}.</span>
      </p>
      <ul class="grid divide-y divide-line border-y border-line">
        <li v-for="check in group.checks" :key="check.code" class="grid gap-2 py-1.5">
          <p class="flex flex-wrap items-center gap-x-3">
            <span class="min-w-0 flex-1">{{ check.says }}</span><button
              v-if="session.may('settle-check')"
              type="button"
              class="button button-quiet"
              :aria-expanded="settling === check.code"
              @click="settling = settling === check.code ? undefined : check.code"
            >
              Say what you found<span class="sr-only"> for {{ check.says }}</span>
            </button>
          </p>
          <CommandForm
            v-if="settling === check.code"
            command="settle-check"
            :machine="sheet.tag"
            :initial="{ outcome: undefined, note: '' }"
            :fixed="{ code: check.code }"
            label="Finish the check"
            submit="Save"
            class="bg-mat p-3"
            @done="settling = undefined"
            ><ChoiceField name="outcome" label="What came of it" :options="choicesOf(checkOutcomeNames)" /><TextField name="note" label="What was found"
          /></CommandForm>
        </li>
      </ul>
    </section>
    <ul v-if="done.length" class="grid gap-1">
      <li v-for="check in done" :key="check.code" class="hint">
        {{ check.says }}:
        <span :class="check.done!.outcome === 'found' ? 'text-care' : 'text-fine'">{{ checkOutcomeNames[check.done!.outcome].toLowerCase() }}</span><template
          v-if="check.done!.note"
          >, {{ check.done!.note }}</template
        >
        ({{ check.done!.by }})
      </li>
    </ul>
  </OneCard>
</template>
