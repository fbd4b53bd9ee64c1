<script setup lang="ts">
import { typedOf } from '#core/parts/substitute/typed'
import type { Spec } from '#core/parts/substitute/compare'
import type { PartKindName } from '#core/parts/substitute/substitute'

/** One press says that these lines were ordered: they are on their way from then on, and bought no second time. */
const props = defineProps<{
  supplier: string
  lines: { name: string; kind: PartKindName | null; spec: Spec; count: number; unitPrice: number | null; note?: string }[]
  expected?: string
  postage?: number
  hint?: string
}>()
const emit = defineEmits<{ done: [] }>()
const session = useSession()
const label = computed(() => `Ordered from ${props.supplier || 'somebody'}`)
const root = useTemplateRef<HTMLElement>('root')
async function ordered(close: () => void) {
  const stay = stayOnCard(root.value)
  close()
  emit('done')
  await stay
}
const fixed = computed(() => ({ lines: props.lines.map(line => ({ note: '', ...line, spec: typedOf(line.spec), unitPrice: line.unitPrice ?? '' })) }))
</script>

<template>
  <div ref="root">
    <AddPanel v-if="session.may('place-order') && lines.length" v-slot="{ close }" :label="label">
      <CommandForm
        command="place-order"
        :initial="{ supplier, dueBy: expected ?? null, postage: (postage || '') as never }"
        :fixed="fixed as never"
        :label="label"
        submit="It is ordered"
        @done="ordered(close)"
      >
        <div class="grid gap-3 sm:grid-cols-3">
          <TextField name="supplier" label="Supplier" /><TextField name="postage" label="Postage" numeric /><DayField
            name="dueBy"
            label="Expected by"
            :hint="hint"
          />
        </div>
      </CommandForm>
    </AddPanel>
  </div>
</template>
