<script setup lang="ts">
import { isNeutralising } from '#core/cleaning/words'
import type { SheetOf } from '#shared/chapters/index'
import { UsedFromShelf } from '../workshop/index'

/** The step at hand: why, its cautions, done, who takes it, or why it is left out. */
const props = defineProps<{ tag: string; step: SheetOf<'cleaning'>['cleaning']['steps'][number]; neutralised: string[] }>()
const session = useSession()
const { submitCommand: done, busy, failure } = useCommand('do-cleaning-step', () => props.tag)
const { submitCommand: give } = useCommand('give-cleaning-step', () => props.tag)
const uses = ref<{ materialId: number; amount: number }[]>([])
const mine = computed(() => props.step.personId !== null && props.step.personId === session.person?.id)
const known = computed(() => ({ stepId: props.step.id, version: props.step.version }))
</script>

<template>
  <div class="grid gap-2 border-l-4 border-enamel pl-3">
    <p class="text-[0.9375rem]">{{ step.why }}</p>
    <div v-if="step.cautions.length" class="grid gap-2 sm:grid-cols-2"><CautionNote v-for="about in step.cautions" :key="about" :about="about" /></div>
    <p v-if="isNeutralising(step.method) && neutralised.length" class="hint">
      Neutralised under Battery already: {{ neutralised.join(', ') }}. If that was this, press Done; it is not done twice.
    </p>
    <UsedFromShelf v-if="step.kind === 'method' && session.may('do-cleaning-step')" v-model="uses" />
    <p v-if="failure" role="alert" class="text-stop">{{ failure }}</p>
    <div v-if="session.may('do-cleaning-step')" class="flex flex-wrap items-center gap-2">
      <button type="button" class="button button-main" :disabled="busy" @click="done({ ...known, waitHours: null, uses })">
        {{ step.waitHours ? `Done; it dries for ${step.waitHours} h` : 'Done' }}
      </button>
      <button type="button" class="button" @click="give({ ...known, personId: mine ? null : session.person!.id })">
        {{ mine ? 'Give it back' : 'Mine' }}
      </button>
      <AddPanel v-slot="{ close }" label="Leave it out">
        <CommandForm
          command="leave-cleaning-step"
          :machine="tag"
          :initial="{ reason: '' }"
          :fixed="known"
          label="Leave it out"
          submit="Leave it out"
          @done="close()"
          ><TextField name="reason" label="Why it is skipped"
        /></CommandForm>
      </AddPanel>
    </div>
  </div>
</template>
