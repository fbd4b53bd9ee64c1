<script setup lang="ts">
import { counted } from '#core/kernel/figure'
import type { BesideView } from '#shared/chapters/inventory/index'
import type { SheetOf } from '#shared/chapters/index'

/** This machine beside a sister, place by place: what differs first. */
const props = defineProps<{ sheet: SheetOf<'inventory'>; sister: SheetOf<'inventory'>['inventory']['sisters'][number] }>()
const api = useApi()
const { answer, busy, failure, start, stop } = useAsked(signal =>
  api.get<BesideView>(`/api/machines/${props.sheet.tag}/beside`, { other: props.sister.tag }, signal),
)
const differing = computed(() => answer.value?.places.filter(one => one.differs !== null) ?? [])
const same = computed(() => (answer.value?.places.length ?? 0) - differing.value.length)
const most = 60
</script>

<template>
  <div class="grid gap-2">
    <WorkPress v-if="!answer" :label="`Beside ${sister.nickname || sister.tag}`" :busy="busy" :failure="failure" quiet @start="start" @stop="stop" />
    <template v-else>
      <p role="status">
        <strong>{{ answer.here }} beside {{ answer.there }}:</strong>
        {{ differing.length ? `${counted(differing.length, 'place')} differ${differing.length === 1 ? 's' : ''}` : 'nothing differs' }},
        {{ counted(same, 'place') }} alike.
      </p>
      <div v-if="differing.length" class="overflow-x-auto" tabindex="0" role="region" :aria-label="`${answer.here} beside ${answer.there}`">
        <table class="w-full text-left">
          <thead>
            <tr class="hint">
              <th scope="col">Place</th>
              <th scope="col" class="px-3">{{ answer.here }}</th>
              <th scope="col">{{ answer.there }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in differing.slice(0, most)" :key="`${one.board} ${one.place}`" class="border-t border-line align-baseline">
              <th scope="row" class="py-1 font-normal">
                <span class="figure font-semibold">{{ one.place }}</span> <span class="hint">{{ one.board }}</span>
              </th>
              <td class="px-3">{{ one.here || 'not listed' }}</td>
              <td :class="one.differs === 'detail' && 'text-ink-2'">{{ one.there || 'not listed' }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="differing.length > most" class="hint">{{ differing.length - most }} more.</p>
    </template>
  </div>
</template>
