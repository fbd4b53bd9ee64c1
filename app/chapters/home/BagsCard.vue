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
    hint="Bagged with its number, named on the label inside, so that whoever comes next can put it back."
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
            :aria-label="`${one.part} is kept no longer`"
            :aria-expanded="ending === one.id"
            @click="ending = ending === one.id ? undefined : one.id"
          >
            Kept no longer
          </button>
        </p>
        <CommandForm
          v-if="ending === one.id"
          command="end-bag"
          :machine="sheet.tag"
          :initial="{ became: '' }"
          :fixed="{ bagId: one.id }"
          label="Kept no longer"
          submit="Keep"
          @done="ending = undefined"
          ><TextField name="became" label="What became of it" hint="Fitted again, gone with the machine, given to a sister"
        /></CommandForm>
      </li>
    </ul>
    <EmptyPlace v-else says="None kept yet. A part that was replaced goes into a bag with this machine’s number." />
    <AddPanel v-if="session.may('bag-part')" v-slot="{ close }" label="Bag a part">
      <CommandForm command="bag-part" :machine="sheet.tag" :initial="{ part: '', bag: '', why: '' }" label="Bag a part" submit="Keep it" @done="close()"
        ><div class="grid gap-3 sm:grid-cols-2">
          <TextField name="part" label="Part" hint="With its place, such as C12" /><TextField name="bag" label="Bag or box" />
        </div>
        <TextField name="why" label="Why it came out"
      /></CommandForm>
    </AddPanel>
  </OneCard>
</template>
