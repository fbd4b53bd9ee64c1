<script setup lang="ts">
import type { CapacitorOffer } from '#shared/chapters/recap/index'

/** Which one of the shelf was taken; the ledger counts it from then on. */
const props = defineProps<{ capacitorId: number }>()
const { found, trouble } = useCollection<{ offers: CapacitorOffer[] }>(
  () => ['capacitor-offers', props.capacitorId],
  () => `/api/recap/${props.capacitorId}/offers`,
)
const options = computed(() => [
  { value: null, label: 'None of the shelf' },
  ...(found.value?.offers ?? []).map(o => ({ value: o.heldId, label: `${o.name}${o.lies && `, ${o.lies}`}` })),
])
</script>

<template>
  <p v-if="trouble" role="alert" class="text-stop">{{ trouble }}</p>
  <PickField
    v-else
    name="heldId"
    label="Taken from the shelf"
    :options="options"
    empty="None of the shelf"
    :hint="found?.offers.length === 0 ? 'Nothing on the shelf fits, by what is stated of it' : 'Those that fit, the best first'"
  />
</template>
