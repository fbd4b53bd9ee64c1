<script setup lang="ts">
import { type HeldPlace, heldPlaces, isTestedOn, partConditions, takesCoordinator, waysOf } from '#core/parts/ledger'
import type { HeldView } from '#shared/chapters/parts/index'

/** Takes some of a line elsewhere: each place asks for what it needs, and no other. */
const props = defineProps<{ held: Pick<HeldView, 'id' | 'version' | 'name' | 'count' | 'at' | 'lender' | 'condition' | 'lies'> }>()
const emit = defineEmits<{ done: [] }>()
const presses: Record<HeldPlace, string> = {
  ordered: 'Ordered',
  pledged: 'Promised to us',
  arrived: 'It has arrived',
  shelf: 'On the shelf',
  promised: 'Set aside for a machine',
  donor: 'In a donor',
  fitted: 'Fitted in a machine',
  lent: 'Lent out',
  returned: props.held.lender ? 'Given back' : 'Sent back',
  given: 'Given away',
  scrapped: 'Scrapped',
  missed: 'It never came',
}
const ways = computed(() =>
  waysOf(props.held)
    .filter(to => !takesCoordinator(props.held, to))
    .map(value => ({ value, label: presses[value] })),
)
const conditions = [{ value: null, label: `As it was: ${partConditions[props.held.condition].toLowerCase()}` }, ...choicesOf(partConditions)]
const initial = computed(() => ({
  count: String(props.held.count),
  to: ways.value[0]?.value,
  tag: '',
  holder: '',
  dueBy: null,
  lies: props.held.lies,
  condition: null,
  tested: '',
}))
const wants = (to: unknown, ...places: HeldPlace[]) => places.includes(to as HeldPlace)
</script>

<template>
  <CommandForm
    command="move-held"
    :initial="initial"
    :fixed="{ heldId: held.id, version: held.version }"
    :label="`Move ${held.name}`"
    submit="Move"
    class="bg-mat p-3"
    @done="emit('done')"
  >
    <template #default="{ values }">
      <p class="hint">{{ heldPlaces[held.at] }} now.</p>
      <ChoiceField name="to" label="Where to" :options="ways" />
      <div class="grid gap-3 sm:grid-cols-2">
        <TextField v-if="held.count > 1" name="count" :label="`How many of ${held.count}`" numeric />
        <TextField v-if="wants(values.to, 'fitted', 'promised')" name="tag" label="Which machine" hint="Its tag, such as M-2026-004" />
        <template v-if="wants(values.to, 'lent')"><TextField name="holder" label="To whom" /><DayField name="dueBy" label="Back by" /></template>
        <TextField v-if="wants(values.to, 'shelf', 'promised', 'arrived')" name="lies" label="Where it lies" />
        <template v-if="isTestedOn(held, values.to as HeldPlace)">
          <PickField name="condition" label="How it is" :options="conditions" :empty="conditions[0]!.label" /><TextField
            name="tested"
            label="What was looked at or tested"
            hint="New ones arrive dead, or of the wrong pitch"
          />
        </template>
      </div>
    </template>
  </CommandForm>
</template>
