<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

/** Whether a stain or wear stays as patina, and why; said once, so that nobody tries again. */
defineProps<{ tag: string; damage: SheetOf<'look'>['damages'][number] }>()
const session = useSession()
const open = ref(false)
</script>

<template>
  <div v-if="damage.patina || (damage.mayStay && session.may('leave-as-patina'))" class="flex flex-wrap items-baseline gap-x-3">
    <span v-if="damage.patina"><strong>Stays as patina.</strong> {{ damage.patina }}</span>
    <button v-if="session.may('leave-as-patina')" type="button" class="text-sm underline max-wide:min-h-11" :aria-expanded="open" @click="open = !open">
      {{ damage.patina ? 'Change that' : 'Leave as patina' }}<span class="sr-only"> {{ damage.where }}</span>
    </button>
    <CommandForm
      v-if="open"
      command="leave-as-patina"
      :machine="tag"
      :initial="{ reason: damage.patina }"
      :fixed="{ damageId: damage.id, version: damage.version }"
      :words="{ reason: 'Why it is left' }"
      label="Leave as patina"
      submit="Save"
      class="w-full bg-mat p-3"
      @done="open = false"
      ><TextField name="reason" label="Why it is left" :hint="damage.patina ? 'Leave empty to stop leaving it' : 'Such as part of its years at the ferry'"
    /></CommandForm>
  </div>
</template>
