<script setup lang="ts">
import { bases } from '#core/diagnosis/address-map'
import {
  type LadderRule,
  type MachineClass,
  type Rung,
  machineClassNames,
  machineClasses,
  observationNames,
  observations,
  rungNames,
  rungsOf,
} from '#core/diagnosis/ladder'
import type { FaultsOfModel } from '#shared/chapters/faults/index'

/** What the instruments of the bench have to know of a model: rules of its own for the ladder, its keyboard, its memory. */
const props = defineProps<{ modelId: number }>()
const { found } = useCollection<FaultsOfModel>(
  () => ['faults', props.modelId],
  () => `/api/models/${props.modelId}/faults`,
)
const session = useSession()
const may = computed(() => session.may('keep-bench-map'))
const { submitCommand: keep, busy, failure } = useCommand('keep-bench-map')
const ladder = computed(() => found.value?.benchMaps.ladder)
const versionOf = (kind: string) => found.value?.benchMapVersions[kind] ?? 0
const keyboard = computed(() => found.value?.benchMaps.keyboard)
const memory = computed(() => found.value?.benchMaps.memory)

const rule = reactive({
  machine: 'single-board' as MachineClass,
  when: 'black' as LadderRule['when'],
  proves: [] as Rung[],
  suspects: [] as Rung[],
  because: '',
})
watch(ladder, l => l && (rule.machine = l.machine), { immediate: true })
const keepRules = (more: readonly LadderRule[], machine = rule.machine) =>
  keep({
    modelId: props.modelId,
    version: versionOf('ladder'),
    map: {
      kind: 'ladder',
      machine,
      more: more.map(r => ({ when: r.when, proves: [...(r.proves ?? [])], suspects: [...(r.suspects ?? [])], because: r.because })),
    },
  })
const lacks = computed(() =>
  !rule.proves.length && !rule.suspects.length ? 'Say what this proves, or what it makes suspect.' : rule.because.trim() ? '' : 'Say why.',
)
const tried = ref(false)
async function addRule() {
  tried.value = true
  if (lacks.value) return
  await keepRules([...(ladder.value?.more ?? []), { when: rule.when, proves: rule.proves, suspects: rule.suspects, because: rule.because.trim() }])
  if (failure.value) return
  Object.assign(rule, { proves: [], suspects: [], because: '' })
  tried.value = false
}
const flip = (of: 'proves' | 'suspects', rung: Rung) => (rule[of] = rule[of].includes(rung) ? rule[of].filter(r => r !== rung) : [...rule[of], rung])
const classes = machineClasses.map(value => ({ value, label: machineClassNames[value] }))
const seen = observationNames.map(value => ({ value, label: observations[value] }))
const spelled = { hex: 'Hex', octal: 'Octal', decimal: 'Decimal' } as const
const said = (rungs: readonly Rung[] | undefined) => (rungs ?? []).map(r => rungNames[r].toLowerCase()).join(', ')
const why = useId()
</script>

<template>
  <OneCard v-if="found" title="What the instruments know about it" hint="Entered once, it is offered at every fault of a machine of this model.">
    <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    <div class="grid items-start gap-4 md:grid-cols-3">
      <section class="grid gap-2" aria-label="Ladder">
        <h3>Ladder</h3>
        <p v-if="ladder">{{ machineClassNames[ladder.machine] }}.</p>
        <ul v-if="ladder?.more.length" class="grid divide-y divide-line border-y border-line">
          <li v-for="(one, i) in ladder.more" :key="i" class="py-1">
            <span class="font-semibold">{{ observations[one.when] }}</span>: <span v-if="one.proves?.length">works: {{ said(one.proves) }}. </span
            ><span v-if="one.suspects?.length">Suspect: {{ said(one.suspects) }}. </span>
            <span class="hint">{{ one.because }}</span>
            <button
              v-if="may"
              type="button"
              class="button button-quiet"
              :disabled="busy"
              :aria-label="`Delete: the rule of ${observations[one.when]}`"
              @click="
                keepRules(
                  ladder.more.filter((_, at) => at !== i),
                  ladder.machine,
                )
              "
            >
              Delete
            </button>
          </li>
        </ul>
        <p v-else class="hint">No rules for this model: the common ones apply.</p>
        <AddPanel v-if="may" label="Add a rule">
          <form class="grid gap-3" aria-label="Add a rule" @submit.prevent="addRule">
            <SelectField v-model="rule.machine" label="It is a" :options="classes" />
            <SelectField v-model="rule.when" label="When this is seen" :options="seen" />
            <div
              v-for="of in ['proves', 'suspects'] as const"
              :key="of"
              class="grid gap-1"
              role="group"
              :aria-label="of === 'proves' ? 'It works' : 'Under suspicion'"
            >
              <p class="font-semibold">{{ of === 'proves' ? 'It works' : 'Suspects, likeliest first' }}</p>
              <div class="flex flex-wrap gap-1">
                <button
                  v-for="rung in rungsOf[rule.machine]"
                  :key="rung"
                  type="button"
                  class="button min-h-9! px-2! py-0.5! text-[0.9375rem] max-wide:min-h-11!"
                  :class="rule[of].includes(rung) && 'button-main'"
                  :aria-pressed="rule[of].includes(rung)"
                  @click="flip(of, rung)"
                >
                  {{ rungNames[rung] }}
                </button>
              </div>
            </div>
            <FieldFrame :id="why" v-slot="{ described }" label="Why" :message="tried ? lacks : ''"
              ><input :id="why" v-model="rule.because" class="entry" maxlength="200" autocomplete="off" :aria-describedby="described"
            /></FieldFrame>
            <p><button class="button button-main" :disabled="busy">Save rule</button></p>
          </form>
        </AddPanel>
      </section>
      <section class="grid gap-2" aria-label="Keyboard">
        <h3>Keyboard</h3>
        <pre v-if="keyboard" class="figure overflow-x-auto text-sm">{{ keyboard.keys }}</pre>
        <p v-else class="hint">Not mapped. At a fault, the keyboard instrument offers to keep what is typed there.</p>
        <AddPanel v-if="may" v-slot="{ close }" :label="keyboard ? 'Change the keyboard' : 'Map the keyboard'">
          <CommandForm
            command="keep-bench-map"
            :initial="{ map: keyboard ?? { kind: 'keyboard', keys: '', printed: false, diodes: false } }"
            :fixed="{ modelId, version: versionOf('keyboard') }"
            label="Keyboard map"
            submit="Save keyboard"
            keeps
            @done="close()"
            ><TextField name="map.keys" label="Columns with their keys" hint="C1: 1 2 3 Q; a dash where there is none" :lines="6" /><TickField
              name="map.printed"
              label="Lines in conductive ink" /><TickField name="map.diodes" label="A diode at each key"
          /></CommandForm>
        </AddPanel>
      </section>
      <section class="grid gap-2" aria-label="Memory">
        <h3>Memory</h3>
        <template v-if="memory"
          ><p>{{ memory.widthBits }} bits a word, {{ memory.bitsPerChip }} a chip, written in {{ spelled[memory.base].toLowerCase() }}.</p>
          <pre class="figure overflow-x-auto text-sm">{{ memory.banks }}</pre>
        </template>
        <p v-else class="hint">Not mapped. At a fault, the memory instrument offers to keep what is typed there.</p>
        <AddPanel v-if="may" v-slot="{ close }" :label="memory ? 'Change the memory' : 'Map the memory'">
          <CommandForm
            command="keep-bench-map"
            :initial="{ map: memory ?? { kind: 'memory', base: 'hex', widthBits: '' as never, bitsPerChip: '1' as never, banks: '' } }"
            :fixed="{ modelId, version: versionOf('memory') }"
            label="Memory map"
            submit="Save memory"
            keeps
            @done="close()"
            ><PickField name="map.base" label="Written in" :options="bases.map(value => ({ value, label: spelled[value] }))" />
            <div class="grid grid-cols-2 gap-3">
              <TextField name="map.widthBits" label="Bits a word" numeric /><TextField name="map.bitsPerChip" label="Bits a chip" numeric />
            </div>
            <TextField name="map.banks" label="Banks: first, last, name: chips from bit 0" hint="4000 7FFF bank-0: IC3 IC4" :lines="4"
          /></CommandForm>
        </AddPanel>
      </section>
    </div>
  </OneCard>
</template>
