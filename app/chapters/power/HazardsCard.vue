<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import { type HazardKind, type HazardState, hazardKindNames, hazardKinds, hazardStateNames, skillToSettle } from '#core/safety/hazards'
import type { SheetOf } from '#shared/chapters/index'

/** The register of hazards: what its records point to, and what somebody found out, each with its evidence. */
const props = defineProps<{ sheet: SheetOf<'power'> }>()
const session = useSession()
const times = useTimes()
const settling = ref<HazardKind>()
const denying = ref<number>()
const { submitCommand: settleSaying, busy, failure } = useCommand('settle-saying', () => props.sheet.tag)
const soundsLike = (kind: HazardKind) => hazardKinds[kind].title.toLowerCase()
const inks: Record<HazardState, string> = { 'present': 'text-stop', 'suspected': 'text-care', 'dealt-with': 'text-fine', 'ruled-out': 'text-ink-2' }
const others = computed(() =>
  hazardKindNames.filter(kind => !props.sheet.hazards.some(h => h.kind === kind)).map(value => ({ value, label: hazardKinds[value].title })),
)
const openOnes = computed(() => props.sheet.hazards.filter(h => h.state === 'present' || h.state === 'suspected'))
const state = computed(() => (openOnes.value.length || props.sheet.sayings.length ? 'open' : props.sheet.hazards.length ? 'done' : 'none'))
const result = computed(
  () =>
    [
      ...(props.sheet.sayings.length ? [`${counted(props.sheet.sayings.length, 'sentence')} to be looked at`] : []),
      ...props.sheet.hazards.map(h => `${hazardKinds[h.kind].title}: ${hazardStateNames[h.state].toLowerCase()}`),
    ].join('; ') || 'Nothing points to one',
)
const signs = ({ by, at, evidence }: (typeof props.sheet.hazards)[number]) =>
  by ? `${by}, ${times.day(at)}` : evidence.length === 1 ? evidence[0] : `${evidence.length} signs`
/** Each once, of what is there. */
const cautionsHere = computed(() => [...new Set(props.sheet.hazards.filter(h => h.state === 'present').map(h => hazardKinds[h.kind].caution))])
const words = { state: 'State', evidence: 'Evidence' }
const open = (kind: HazardKind) => (settling.value = settling.value === kind ? undefined : kind)
</script>

<template>
  <OneCard title="Hazards" :state="state" :result="result">
    <ul v-if="sheet.sayings.length" class="grid gap-2" aria-label="Sentences that sound like a danger">
      <li v-for="one in sheet.sayings" :key="one.id" class="grid gap-2 border border-care bg-care-wash p-2">
        <p>
          <strong>This sounds like {{ soundsLike(one.kind) }}. Is it?</strong> <q>{{ one.sentence }}</q>&ensp;<span class="hint"
            >{{ one.by }}, {{ times.day(one.at) }}</span
          >
        </p>
        <template v-if="session.may('settle-saying')">
          <p v-if="denying !== one.id" class="flex flex-wrap gap-4">
            <button
              type="button"
              class="button"
              :aria-label="`Yes, it is ${soundsLike(one.kind)}`"
              :disabled="busy"
              @click="settleSaying({ sayingId: one.id, is: true, found: '' })"
            >
              Yes
            </button>
            <button type="button" class="button button-quiet" :aria-label="`No, it was something else, not ${soundsLike(one.kind)}`" @click="denying = one.id">
              No, it was something else
            </button>
            <span v-if="skillToSettle(one.kind, 'ruled-out')" class="hint">To say no: <WhoCould :skill="skillToSettle(one.kind, 'ruled-out')" /></span>
          </p>
          <CommandForm
            v-else
            command="settle-saying"
            :machine="sheet.tag"
            :initial="{ found: '' }"
            :fixed="{ sayingId: one.id, is: false }"
            label="What it was instead"
            submit="Save"
            @done="denying = undefined"
            ><TextField name="found" label="What it was" hint="What was seen or found instead"
          /></CommandForm>
        </template>
      </li>
    </ul>
    <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    <EmptyPlace v-if="!sheet.hazards.length" says="Nothing points to a hazard yet. That says nothing about what nobody has looked at." />
    <ul v-else class="grid divide-y divide-line border-y border-line">
      <li v-for="hazard in sheet.hazards" :key="hazard.kind" class="grid gap-1 py-1">
        <div class="flex items-start gap-x-3">
          <details class="min-w-0 flex-1">
            <summary class="cursor-pointer">
              <h3 class="inline">{{ hazardKinds[hazard.kind].title }}</h3>
              &ensp;<span class="font-semibold" :class="inks[hazard.state]">{{ hazardStateNames[hazard.state] }}</span
              >&ensp;<span class="hint">{{ signs(hazard) }}</span>
            </summary>
            <p v-for="fact in hazard.evidence" :key="fact" class="hint">{{ fact }}</p>
            <p v-if="hazard.state === 'present'">
              {{ hazardKinds[hazard.kind].deal }}
              <span class="hint">By {{ hazardKinds[hazard.kind].who }}. <WhoCould :skill="skillToSettle(hazard.kind, 'dealt-with')" /></span>
            </p>
          </details>
          <button
            v-if="session.may('settle-hazard')"
            type="button"
            class="shrink-0 text-sm underline max-wide:min-h-11"
            :aria-expanded="settling === hazard.kind"
            @click="open(hazard.kind)"
          >
            Say what you found<span class="sr-only"> of {{ hazardKinds[hazard.kind].title }}</span>
          </button>
        </div>
        <CommandForm
          v-if="settling === hazard.kind"
          command="settle-hazard"
          :machine="sheet.tag"
          :initial="{ state: hazard.state, evidence: '' }"
          :fixed="{ kind: hazard.kind, version: hazard.version }"
          :words="words"
          label="Say what you found"
          submit="Save"
          keeps
          class="bg-mat p-3"
          @done="settling = undefined"
          ><CautionNote :about="hazardKinds[hazard.kind].caution" /><ChoiceField
            name="state"
            label="The hazard is"
            :options="choicesOf(hazardStateNames)" /><TextField name="evidence" label="Evidence" hint="What was seen, measured or done" :lines="2"
        /></CommandForm>
      </li>
    </ul>
    <div v-if="cautionsHere.length" class="grid gap-2 sm:grid-cols-2"><CautionNote v-for="about in cautionsHere" :key="about" :about="about" /></div>
    <AddPanel v-if="others.length && session.may('settle-hazard')" v-slot="{ close }" label="Add a hazard"
      ><CommandForm
        command="settle-hazard"
        :machine="sheet.tag"
        :initial="{ kind: undefined, state: 'present', evidence: '' }"
        :fixed="{ version: 0 }"
        label="Add a hazard"
        submit="Add"
        @done="close()"
        ><PickField name="kind" label="Which" :options="others" empty="Choose a hazard" /><ChoiceField
          name="state"
          label="The hazard is"
          :options="choicesOf(hazardStateNames)" /><TextField name="evidence" label="Evidence" :lines="2" /></CommandForm
    ></AddPanel>
  </OneCard>
</template>
