<script setup lang="ts">
import { decidingLevel } from '#core/kernel/finding'
import { parseQuantity, unitOfName } from '#core/kernel/quantity'
import { type Grip, type Lifter, grips, judgeLift, lifterNames, lifters } from '#core/safety/lift'
import { safetyLift } from '#shared/tools/safety/lift'

/** Weight, heights, reach: how many people. */
const emit = defineEmits<{ input: [input: Record<string, unknown> | undefined] }>()
const { massKg, fromHeightCm, toHeightCm, reachCm } = safetyLift.example
const typed = reactive({ massKg: String(massKg), fromHeightCm: String(fromHeightCm), toHeightCm: String(toHeightCm), reachCm: String(reachCm), turnDeg: '0' })
const grip = ref<Grip>(safetyLift.example.grip ?? 'fair')
const stairs = ref(false)
const lifter = ref<Lifter>('not-said')
const fields = {
  massKg: 'Weight in kg',
  fromHeightCm: 'Hands at the start, cm above the floor',
  toHeightCm: 'Hands at the end, cm above the floor',
  reachCm: 'Reach from the ankles, cm',
  turnDeg: 'Turn of the body, degrees',
} as const
const gripNames: Record<Grip, string> = { good: 'Handles', fair: 'Fingers bend under it', poor: 'Smooth case' }
const { result, at } = useInstrument(
  () => ({
    massKg: parseQuantity(typed.massKg, 'kg', 'massKg'),
    ...(Object.fromEntries((['fromHeightCm', 'toHeightCm', 'reachCm', 'turnDeg'] as const).map(f => [f, parseQuantity(typed[f], unitOfName(f), f)])) as {
      fromHeightCm: number
      toHeightCm: number
      reachCm: number
      turnDeg: number
    }),
    grip: grip.value,
    lifter: lifter.value,
    stairs: stairs.value,
  }),
  judgeLift,
  input => emit('input', input),
)
</script>

<template>
  <div class="grid items-start gap-4 lg:grid-cols-2">
    <OneCard title="The lift">
      <FieldFrame v-for="(label, name) in fields" :id="name" :key="name" v-slot="{ described }" :label="label" :message="at(name)"
        ><input
          :id="name"
          v-model="typed[name]"
          class="entry reading"
          inputmode="decimal"
          autocomplete="off"
          :aria-describedby="described"
          :aria-invalid="!!at(name)"
      /></FieldFrame>
      <FieldFrame id="grip" label="Grip"
        ><select id="grip" v-model="grip" class="entry">
          <option v-for="one in grips" :key="one" :value="one">{{ gripNames[one] }}</option>
        </select></FieldFrame
      >
      <FieldFrame id="lifter" label="Who lifts, if they like to say" hint="Left open, the most cautious figure holds; nothing of it is kept."
        ><select id="lifter" v-model="lifter" class="entry">
          <option v-for="one in lifterNames" :key="one" :value="one">{{ lifters[one].title }}</option>
        </select></FieldFrame
      >
      <label class="flex items-center gap-2"><input v-model="stairs" type="checkbox" class="h-5 w-5" />Up or down stairs</label>
    </OneCard>
    <OneCard title="What it takes">
      <template v-if="result">
        <InstrumentFace
          label="Lifting index: the weight over the limit for one"
          :figure="result.index.toFixed(2)"
          :judgement="result.people > 4 ? 'With gear' : result.people === 1 ? 'One person' : `${result.people} people`"
          :level="decidingLevel(result.findings)"
          :scale="{
            from: 0,
            value: result.index,
            bands: [
              { to: 1, level: 'fine', says: `one, up to ${result.limitKg.toFixed(1)} kg` },
              { to: 3, level: 'care', says: 'more than one, or gear' },
            ],
          }"
        />
        <FindingList :findings="result.findings" />
      </template>
      <EmptyPlace v-else says="Fill in the lift, and you will see how many people it takes." />
      <CautionNote about="lifting" />
    </OneCard>
  </div>
</template>
