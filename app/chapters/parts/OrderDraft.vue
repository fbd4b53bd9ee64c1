<script setup lang="ts">
import { needs } from '#core/parts/needs'
import type { BuyView } from '#shared/chapters/parts/index'
import OrderPlaced from './OrderPlaced.vue'

/** What would be ordered of one supplier: lines taken in or left out, then one press puts all of it on its way. */
const props = defineProps<{ draft: BuyView['drafts'][number]; currency: string }>()
const session = useSession()
const times = useTimes()
const inMoney = useMoney(() => props.currency)
type Line = BuyView['drafts'][number]['lines'][number]
const left = ref<number[]>([])
const taken = (line: Line) => !left.value.includes(line.partId)
const turn = (line: Line) => (left.value = taken(line) ? [...left.value, line.partId] : left.value.filter(id => id !== line.partId))
const chosen = computed(() => props.draft.lines.filter(taken))
const title = computed(() => props.draft.supplier || 'From whom, nobody knows yet')
const cost = computed(() => chosen.value.reduce((sum, line) => sum + (line.unitPrice ?? 0) * line.count, 0))
const forWhom = (line: Line) => line.wants.map(w => `${w.machine} (${w.tag})`)
const ordered = computed(() =>
  chosen.value.map(({ name, kind, spec, count, unitPrice, wants }) => ({
    name,
    kind,
    spec,
    count,
    unitPrice,
    note: wants.length ? `For ${wants.map(w => w.tag).join(', ')}`.slice(0, 300) : '',
  })),
)
</script>

<template>
  <section class="grid gap-1" :aria-label="`Draft of an order: ${title}`">
    <h3 class="first-letter:uppercase">{{ title }}</h3>
    <p class="hint">{{ draft.lead }} Usually here by {{ times.day(draft.expected) }}.</p>
    <ul class="grid divide-y divide-line border-y border-line">
      <li v-for="line in draft.lines" :key="line.partId" class="grid gap-0.5 py-1.5">
        <label class="flex items-start gap-3">
          <input v-if="session.may('place-order')" type="checkbox" class="no-print mt-0.5 size-5 accent-enamel" :checked="taken(line)" @change="turn(line)" />
          <span class="flex flex-1 flex-wrap items-baseline gap-x-3"
            ><span class="figure">{{ line.count }} ×</span><span class="font-semibold">{{ line.name }}</span
            ><span v-if="line.says" class="hint">{{ line.says }}</span
            ><span class="figure ml-auto">{{ line.unitPrice === null ? 'price not known' : inMoney(line.unitPrice * line.count) }}</span></span
          >
        </label>
        <p v-for="w in line.wants.filter(one => one.asks)" :key="w.tag" class="text-care">{{ w.machine }}: {{ w.asks }}.</p>
        <p :class="line.stops === 'start' ? '' : 'hint'">
          {{ line.keep ? `For the shelf: at least ${line.keep} are kept` : `${needs[line.stops].title}: ${forWhom(line).join(', ')}`
          }}<template v-if="line.starts.length"
            >. <strong>{{ line.starts.map(m => m.machine).join(', ') }}: no other part stands before a start.</strong></template
          >
        </p>
      </li>
    </ul>
    <p>
      <strong>{{ inMoney(cost) }}</strong> <span class="hint">as far as prices are known, without postage</span>
    </p>
    <OrderPlaced :supplier="draft.supplier" :lines="ordered" :expected="draft.expected" />
  </section>
</template>
