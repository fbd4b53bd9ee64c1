<script setup lang="ts">
import { decimals, written } from '#core/kernel/figure'
import { shownRail } from '#core/power/rails'
import { photographUrl } from '#shared/chapters/look/index'
import type { SheetOf } from '#shared/chapters/index'

/** As found and as released: condition, rails, pictures, hours and money against what was thought; and the closing letter. */
const props = defineProps<{ sheet: SheetOf<'home'> }>()
const session = useSession()
const times = useTimes()
const outcome = computed(() => props.sheet.outcome)
const volts = (v: number) => `${written(decimals(v, 3))} V`
</script>

<template>
  <OneCard
    title="As found, as released"
    :state="sheet.stage === 'home' ? 'done' : 'none'"
    :result="sheet.stage === 'home' ? 'Both sides' : 'As it stands now'"
    stays
    hint="How it arrived, how it leaves, and what it took."
  >
    <FindingList :findings="outcome.findings" />
    <div class="overflow-x-auto">
      <table class="w-full text-left text-[0.9375rem]" aria-label="As found and as released">
        <thead>
          <tr class="hint">
            <th class="py-1 pr-4 font-normal">Part</th>
            <th class="py-1 pr-4 font-normal">As found</th>
            <th class="py-1 font-normal">Now</th>
          </tr>
        </thead>
        <tbody class="divide-y divide-line">
          <tr v-for="one in outcome.assemblies" :key="one.name">
            <th class="py-1 pr-4 font-semibold">{{ one.name }}</th>
            <td class="py-1 pr-4">{{ one.found }}</td>
            <td class="py-1" :class="one.now !== one.found && 'font-semibold text-enamel'">{{ one.now === one.found ? 'unchanged' : one.now }}</td>
          </tr>
          <tr v-for="rail in outcome.rails" :key="rail.name">
            <th class="py-1 pr-4 font-semibold">Rail {{ shownRail(rail.name) }}</th>
            <td class="figure py-1 pr-4">{{ volts(rail.first) }}</td>
            <td class="figure py-1">{{ volts(rail.last) }}</td>
          </tr>
          <tr>
            <th class="py-1 pr-4 font-semibold">Faults</th>
            <td class="py-1 pr-4">{{ outcome.faults.closed + outcome.faults.open }}</td>
            <td class="py-1">{{ outcome.faults.closed }} closed, {{ outcome.faults.open }} open</td>
          </tr>
        </tbody>
      </table>
    </div>
    <figure v-for="pair in outcome.photographs" :key="pair.assembly" class="grid grid-cols-2 gap-2">
      <figcaption class="col-span-2 font-semibold">{{ pair.assembly }}</figcaption>
      <div v-for="side in [pair.found, pair.now]" :key="side.id" class="grid gap-1">
        <NuxtLink :to="`/m/${sheet.tag}/photo/${side.id}`"
          ><img :src="photographUrl(side.hash, 'thumb')" :alt="side.caption" loading="lazy" class="aspect-4/3 w-full border border-line object-cover"
        /></NuxtLink>
        <span class="hint">{{ side.caption }}, {{ times.day(side.at) }}</span>
      </div>
    </figure>
    <AddPanel v-if="session.may('write-closing-letter')" label="Write the closing letter">
      <CommandForm
        command="write-closing-letter"
        :machine="sheet.tag"
        :initial="{ released: '', to: '' }"
        label="Write the closing letter"
        submit="Write the letter"
        @done="result => navigateTo(`/m/${sheet.tag}/letter/${(result as { letterId: number }).letterId}`)"
        ><TextField name="released" label="Opening sentence" hint="Such as: It runs, and goes into our gallery on Saturday." :lines="2" /><TextField
          name="to"
          label="E-mail address"
          hint="Leave empty if the letter is printed and posted"
          type="email"
      /></CommandForm>
    </AddPanel>
  </OneCard>
</template>
