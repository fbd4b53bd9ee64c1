<script setup lang="ts">
import { useField } from 'vee-validate'

/** Within which limits it is signed off; none unless somebody asks for them. */
const { value: limits } = useField<{ hoursADay: string; attended: boolean; noOriginalMedia: boolean } | null>('limits')
const limited = computed({ get: () => !!limits.value, set: on => (limits.value = on ? { hoursADay: '2', attended: true, noOriginalMedia: true } : null) })
</script>

<template>
  <label class="flex min-h-11 items-center gap-2"
    ><input v-model="limited" type="checkbox" class="h-5 w-5 accent-enamel" />For demonstration alone, with limits</label
  >
  <div v-if="limited" class="grid gap-3 border-l-4 border-note bg-note-wash px-3 py-2">
    <p class="hint">Attended, it may be shown while a soak is not finished or a line is not tested yet. It is not for hands-on use.</p>
    <TextField name="limits.hoursADay" label="Hours a day, at most" numeric />
    <div class="flex flex-wrap gap-x-6">
      <TickField name="limits.attended" label="Attended" /><TickField name="limits.noOriginalMedia" label="No original media" />
    </div>
  </div>
</template>
