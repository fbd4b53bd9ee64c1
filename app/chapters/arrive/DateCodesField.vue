<script setup lang="ts">
import { PhPlus, PhX } from '~/kernel/signs/icons'
import { useFieldArray } from 'vee-validate'

/** Date codes chip by chip, each read as it is typed. */
const props = defineProps<{ name: string }>()
const { fields, push, remove } = useFieldArray<{ part: string; code: string }>(() => props.name)
const errors = useRowErrors(() => props.name)
const messageAt = (i: number) => errors.at(i, 'code')
</script>

<template>
  <div class="grid gap-3">
    <div v-for="(field, i) in fields" :key="field.key" class="grid items-start gap-2 sm:grid-cols-[10rem_10rem_1fr_auto]">
      <div class="grid gap-1">
        <label :for="`code-${i}`" class="font-semibold">Marking {{ i + 1 }}</label
        ><input :id="`code-${i}`" v-model="field.value.code" class="entry reading" autocomplete="off" :aria-invalid="!!messageAt(i)" />
      </div>
      <div class="grid gap-1">
        <label :for="`part-${i}`" class="font-semibold">On which part</label
        ><input :id="`part-${i}`" v-model="field.value.part" class="entry" autocomplete="off" />
      </div>
      <div class="self-center pt-5">
        <p v-if="messageAt(i)" role="alert" class="text-stop">{{ messageAt(i) }}</p>
        <DateCodeReadings v-else :code="field.value.code" />
      </div>
      <button type="button" class="button button-quiet mt-6" @click="remove(i)"><PhX aria-hidden="true" />Leave out</button>
    </div>
    <div>
      <button type="button" class="button" @click="push({ part: '', code: '' })"><PhPlus aria-hidden="true" />Add a marking</button>
    </div>
  </div>
</template>
