<script setup lang="ts">
import { useFieldValue, useSetFieldValue } from 'vee-validate'
import { lookAlikes } from '#core/identify/look-alike'
import type { ModelView } from '#shared/chapters/models/index'

/** Notices a name that is probably a known model's under another spelling, and offers that one; a known one brings its maker along. */
const props = defineProps<{ known: ModelView[] }>()
const name = useFieldValue<string>('name')
const maker = useFieldValue<string>('maker')
const [setName, setMaker] = [useSetFieldValue<string>('name'), useSetFieldValue<string>('maker')]
const meant = computed(() => {
  const typed = String(name.value ?? '')
  const found = lookAlikes(
    typed,
    props.known.map(m => m.name),
  )[0]
  return props.known.some(m => m.name.toLowerCase() === typed.trim().toLowerCase()) ? undefined : props.known.find(m => m.name === found)
})
// Only when the name changes: whoever empties the maker is about to type another.
watch(name, typed => {
  const model = modelNamed(props.known, String(typed ?? ''))
  if (model && !String(maker.value ?? '').trim()) setMaker(model.maker)
})
function take({ name: known, maker: by }: ModelView) {
  setName(known)
  setMaker(by)
}
</script>

<template>
  <p v-if="meant" role="status" class="flex flex-wrap items-center gap-2 border-l-4 border-care bg-care-wash px-3 py-2 text-[0.9375rem]">
    <span>There is a {{ meant.name }} by {{ meant.maker }}, spelt a little differently.</span
    ><button type="button" class="button" @click="take(meant)">It is a {{ meant.name }}</button>
  </p>
</template>
