<script setup lang="ts">
import { useFieldValue, useSetFieldValue } from 'vee-validate'
import { counted } from '#core/kernel/figure'
import type { BoardPlaces } from '#shared/chapters/recap/index'

/** Places read off the boards of its model, put into the list one below the other; what each is worth is read off the part. */
const props = defineProps<{ tag: string; listed: readonly { assembly: string; place: string }[] }>()
const api = useApi()
const { answer, busy, failure, start, stop } = useAsked(signal => api.get<{ boards: BoardPlaces[] }>('/api/recap/places', { tag: props.tag }, signal))
const typed = useFieldValue<string>('typed')
const setTyped = useSetFieldValue<string>('typed')
const setAssembly = useSetFieldValue<string>('assembly')
const taken = ref<BoardPlaces>()
/** Boards with the places that are not listed yet. */
const open = computed(() =>
  answer.value?.boards.flatMap(board => {
    const places = board.places.filter(one => !props.listed.some(had => had.assembly === board.board && had.place === one.place))
    return places.length ? [{ ...board, places }] : []
  }),
)
function take(board: BoardPlaces) {
  const before = String(typed.value ?? '').trimEnd()
  setTyped([...(before ? [before] : []), ...board.places.map(one => `${one.place} `)].join('\n'))
  setAssembly(board.board)
  taken.value = board
}
</script>

<template>
  <div class="grid gap-1">
    <WorkPress v-if="!answer" label="Places off a known board" :busy="busy" :failure="failure" quiet @start="start" @stop="stop" />
    <p v-else-if="!open?.length" class="hint" role="status">No board of its model is known that has more capacitors on it.</p>
    <p v-for="board in open ?? []" :key="`${board.board} ${board.issue}`" class="flex flex-wrap items-center gap-2">
      <span>{{ board.board }}{{ board.issue && `, issue ${board.issue}` }}: {{ counted(board.places.length, 'place') }}.</span>
      <button type="button" class="button button-quiet" :disabled="Boolean(taken)" @click="take(board)">Put them into the list</button>
    </p>
    <template v-if="taken">
      <p class="hint" role="status">Write behind each what is printed on it. By the net list they lie between:</p>
      <ul class="hint grid gap-x-4 sm:grid-cols-2">
        <li v-for="one in taken.places" :key="one.place">
          <span class="figure">{{ one.place }}</span> {{ one.nets.join(' and ') }}
        </li>
      </ul>
    </template>
  </div>
</template>
