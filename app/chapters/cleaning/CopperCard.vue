<script setup lang="ts">
import { sealants } from '#shared/chapters/cleaning/index'
import type { SheetOf } from '#shared/chapters/index'

/** Copper that cleaning laid bare, until it is sealed. */
const props = defineProps<{ sheet: SheetOf<'cleaning'> }>()
const session = useSession()
const times = useTimes()
const coppers = computed(() => props.sheet.cleaning.coppers)
const unsealed = computed(() => coppers.value.filter(c => !c.sealedAt))
const sealed = computed(() => coppers.value.filter(c => c.sealedAt))
</script>

<template>
  <OneCard
    title="Bare copper"
    :state="unsealed.length ? 'open' : coppers.length ? 'done' : 'none'"
    :result="unsealed.length ? `To seal: ${unsealed.map(c => c.where).join('; ')}` : coppers.length ? 'All sealed' : 'None exposed'"
    hint="Bare copper corrodes again until it is sealed. Keep the pads free: you can neither solder nor probe what is covered."
  >
    <ul v-if="coppers.length" class="grid divide-y divide-line border-y border-line">
      <li v-for="one in unsealed" :key="one.id" class="grid gap-2 py-2">
        <p>
          <strong>{{ one.where }}</strong> <span class="hint">bare since {{ times.day(one.at) }}</span>
        </p>
        <CommandForm
          v-if="session.may('seal-copper')"
          command="seal-copper"
          :machine="sheet.tag"
          :initial="{ withWhat: undefined, padsFree: false }"
          :fixed="{ copperId: one.id, version: one.version }"
          label="Seal it"
          submit="Save"
        >
          <div class="grid gap-2 sm:grid-cols-2"><CautionNote about="ultraviolet" /><CautionNote about="solvents" /></div>
          <ChoiceField name="withWhat" label="With what" :options="choicesOf(sealants)" /><TickField name="padsFree" label="The pads are free" />
        </CommandForm>
      </li>
      <li v-for="one in sealed" :key="one.id" class="py-1">
        {{ one.where }} <span class="hint">{{ sealants[one.sealedWith!].toLowerCase() }}, {{ times.day(one.sealedAt!) }}</span>
      </li>
    </ul>
    <AddPanel v-if="session.may('find-bare-copper')" v-slot="{ close }" label="Add bare copper" :open="!coppers.length">
      <CommandForm command="find-bare-copper" :machine="sheet.tag" :initial="{ where: '' }" label="Add bare copper" submit="Save" @done="close()"
        ><TextField name="where" label="Where" hint="Such as beside the battery, three traces"
      /></CommandForm>
    </AddPanel>
  </OneCard>
</template>
