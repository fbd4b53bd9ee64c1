<script setup lang="ts">
import type { SheetOf } from '#shared/chapters/index'

/** Original parts that came out and are kept, with where. */
defineProps<{ sheet: SheetOf<'home'> }>()
const session = useSession()
const ending = ref<number>()
</script>

<template>
  <OneCard
    title="Originals kept"
    :state="sheet.bags.length ? 'done' : 'none'"
    :result="sheet.bags.length ? `${sheet.bags.filter(b => b.ended === null).length} in bags` : 'None kept'"
    hint="Bagged with the machine’s number and named on the label inside, so that it can be put back one day."
  >
    <ul v-if="sheet.bags.length" class="grid divide-y divide-line border-y border-line">
      <li v-for="one in sheet.bags" :key="one.id" class="grid gap-1 py-1.5">
        <p class="flex flex-wrap items-baseline gap-x-3">
          <strong>{{ one.part }}</strong><span class="figure">{{ one.bag }}</span
          ><span class="hint">{{ one.why }}</span>
          <span v-if="one.ended !== null" class="text-note">{{ one.ended }}</span>
          <button
            v-else-if="session.may('end-bag')"
            type="button"
            class="button button-quiet ml-auto"
            :aria-label="`${one.part} is no longer kept`"
            :aria-expanded="ending === one.id"
            @click="ending = ending === one.id ? undefined : one.id"
          >
            No longer kept
          </button>
        </p>
        <CommandForm
          v-if="ending === one.id"
          command="end-bag"
          :machine="sheet.tag"
          :initial="{ became: '' }"
          :fixed="{ bagId: one.id }"
          label="No longer kept"
          submit="Save"
          @done="ending = undefined"
          ><TextField name="became" label="What became of it" hint="Refitted, left with the machine, used in another one of this model"
        /></CommandForm>
      </li>
    </ul>
    <EmptyPlace v-else says="None yet. Put each replaced part into a bag with this machine’s number." />
    <AddPanel v-if="session.may('bag-part')" v-slot="{ close }" label="Bag a part">
      <CommandForm command="bag-part" :machine="sheet.tag" :initial="{ part: '', bag: '', why: '' }" label="Bag a part" submit="Save" @done="close()"
        ><div class="grid gap-3 sm:grid-cols-2">
          <TextField name="part" label="Part" hint="With its place, such as C12" /><TextField name="bag" label="Bag or box" />
        </div>
        <TextField name="why" label="Why it was removed"
      /></CommandForm>
    </AddPanel>
  </OneCard>
</template>
