<script setup lang="ts">
import { codePath, readCode } from '#core/parts/codes'
import type { HeldView } from '#shared/chapters/parts/index'

/** Reads the codes on labels: a machine or a part is opened; a box, then a bag, and the bag lies in the box. */
const api = useApi()
const session = useSession()
const box = ref('')
const says = ref('')
const foreign = ref('')
const bag = ref<HeldView>()
const { submitCommand: put, failure, busy: putting } = useCommand('put-here')

async function take(text: string) {
  const coded = readCode(text)
  foreign.value = coded ? '' : text
  says.value = ''
  if (!coded) return
  if (coded.what === 'machine') return navigateTo(codePath(coded))
  if (coded.what === 'place') {
    box.value = coded.name
    bag.value = undefined
    return
  }
  try {
    bag.value = (await api.get<{ held: HeldView }>(`/api/parts/part/${coded.uid}`)).held
  } catch (error) {
    says.value = (error as Error).message
    bag.value = undefined
  }
}
async function putIn() {
  const one = bag.value!
  if (await put({ uids: [one.uid], lies: box.value })) {
    says.value = `${one.count} × ${one.name}: now in ${box.value}. Scan the next one.`
    bag.value = undefined
  }
}
const { video, open, busy, trouble, refused, nothing, start, close, readPicture, hasCamera } = useCodeReader(text => void take(text))
function chosen(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (file) void readPicture(file)
}
const typedCode = ref('')
const id = useId()
</script>

<template>
  <OneCard title="Scan codes" hint="A machine or a part is opened. To put things away: scan the box, then each bag.">
    <div class="flex flex-wrap items-center gap-3">
      <button v-if="hasCamera && !open" type="button" class="button button-main" @click="start">Open the camera</button>
      <button v-if="open" type="button" class="button" @click="close">Close the camera</button>
      <label class="button relative" :for="id"
        >Take a picture of a code<input :id="id" type="file" accept="image/*" capture="environment" class="absolute inset-0 opacity-0" @change="chosen"
      /></label>
      <span v-if="busy && !open" role="status" class="hint">Reading…</span>
    </div>
    <p v-if="!hasCamera" class="hint">This browser gives no camera to this page; a picture of the code does as well.</p>
    <p v-if="refused || trouble" role="alert" class="text-stop">{{ refused || trouble }}</p>
    <p v-if="nothing" role="alert" class="text-care">No code was found in that picture. Go nearer, and hold the phone still.</p>
    <video v-show="open" ref="video" class="max-h-80 w-full border border-line bg-black object-contain" muted playsinline aria-label="What the camera sees" />
    <form class="flex flex-wrap items-end gap-3" @submit.prevent="take(typedCode)">
      <MeasureField v-model="typedCode" label="Or the address under a code" words class="flex-1 basis-64" /><button type="submit" class="button">Open</button>
    </form>
    <div role="status" class="grid gap-2">
      <p v-if="box" class="flex flex-wrap items-baseline gap-x-3">
        <span>Box:</span><strong>{{ box }}</strong
        ><NuxtLink :to="codePath({ what: 'place', name: box })">What lies there</NuxtLink>
      </p>
      <div v-if="bag" class="flex flex-wrap items-center gap-3 border border-line p-3">
        <span class="figure">{{ bag.count }} ×</span><strong>{{ bag.name }}</strong
        ><span class="hint">{{ bag.lies ? `in ${bag.lies}` : 'in no place yet' }}</span>
        <button v-if="box && box !== bag.lies && session.may('put-here')" type="button" class="button button-main" :disabled="putting" @click="putIn">
          Put it in {{ box }}
        </button>
        <NuxtLink :to="codePath({ what: 'part', uid: bag.uid })" class="button button-quiet"
          >Open<span class="sr-only"> {{ bag.name }}</span></NuxtLink
        >
      </div>
      <p v-if="says">{{ says }}</p>
      <p v-if="foreign" class="wrap-anywhere text-care">That code is on no label of ours: {{ foreign.slice(0, 200) }}</p>
      <p v-if="failure" class="text-stop">{{ failure }}</p>
    </div>
  </OneCard>
</template>
