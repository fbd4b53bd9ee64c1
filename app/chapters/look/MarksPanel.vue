<script setup lang="ts">
import { damageKinds, severityNames } from '#core/condition/damage'
import type { MarkForm } from '#core/condition/marks'
import type { SheetOf } from '#shared/chapters/index'
import type { PhotographView } from '#shared/chapters/look/index'
import type { Drawing, Drawn } from '~/chapters/look/composables/useDrawing'

/** The marks on a photograph, and a new one: its shape first, then what it is. */
const props = defineProps<{ sheet: SheetOf<'look'>; photograph: PhotographView; drawing: Drawing }>()
const chosen = defineModel<number>('chosen')
const drawn = defineModel<Drawn | undefined>('drawn')
const session = useSession()
const correcting = ref<number>()
const forms: { form: MarkForm; name: string; says: string }[] = [
  { form: 'polygon', name: 'Outline', says: 'Draw around the damage, point by point.' },
  { form: 'line', name: 'Line', says: 'Follow the crack, scratch or tide line.' },
  { form: 'point', name: 'Point', says: 'Press the place.' },
]
const says = ref('')
const marks = computed(() => props.sheet.damages.filter(d => d.photographId === props.photograph.id))
const severityInk = { slight: 'text-note', clear: 'text-care', severe: 'text-stop' }
const words = { kind: 'Kind', severity: 'Severity', assemblyId: 'Assembly', where: 'Where', extent: 'Extent' }

function begin(form: MarkForm, text: string) {
  drawn.value = undefined
  says.value = text
  props.drawing.begin('mark', form, result => (drawn.value = result))
}
</script>

<template>
  <div class="grid content-start gap-3">
    <EmptyPlace v-if="!marks.length && !drawn" says="Nothing marked on this photograph yet." />
    <ul v-else class="grid divide-y divide-line" aria-label="Marks">
      <li v-for="mark in marks" :key="mark.id" class="grid gap-1 py-1.5">
        <button
          type="button"
          class="flex flex-wrap items-center gap-x-2 text-left"
          :aria-pressed="chosen === mark.id"
          :class="chosen === mark.id && 'font-semibold'"
          @click="chosen = chosen === mark.id ? undefined : mark.id"
        >
          <DamageGlyph :kind="mark.kind" />{{ damageKinds[mark.kind] }}
          <span :class="severityInk[mark.severity]">{{ severityNames[mark.severity].toLowerCase() }}</span>
        </button>
        <p class="hint">{{ [mark.assembly, mark.where, mark.extent].filter(Boolean).join(', ') }}</p>
        <PatinaLine :tag="sheet.tag" :damage="mark" />
        <template v-if="chosen === mark.id && session.may('change-damage')">
          <button
            type="button"
            class="button button-quiet justify-self-start"
            :aria-expanded="correcting === mark.id"
            @click="correcting = correcting === mark.id ? undefined : mark.id"
          >
            Correct it
          </button>
          <CommandForm
            v-if="correcting === mark.id"
            command="change-damage"
            :machine="sheet.tag"
            :initial="{ kind: mark.kind, severity: mark.severity, assemblyId: mark.assemblyId, where: mark.where, extent: mark.extent }"
            :fixed="{ damageId: mark.id, version: mark.version }"
            :words="words"
            label="Correct the mark"
            submit="Save"
            keeps
            @done="correcting = undefined"
          >
            <ChoiceField name="kind" label="Kind" :options="choicesOf(damageKinds)" /><ChoiceField
              name="severity"
              label="Severity"
              :options="choicesOf(severityNames)"
            /><PickField name="assemblyId" label="On which assembly" :options="assemblyChoices(sheet)" /><TextField
              name="where"
              label="Where, in words"
            /><TextField name="extent" label="Extent" />
          </CommandForm>
        </template>
      </li>
    </ul>
    <template v-if="session.may('record-damage')">
      <DrawingBar v-if="drawing.purpose.value === 'mark'" :drawing="drawing" :says="says" />
      <NewMark v-else-if="drawn" :sheet="sheet" :photograph="photograph" :drawn="drawn" @done="drawn = undefined" @left="drawn = undefined" />
      <div v-else class="grid gap-1">
        <p class="font-semibold">Draw a mark</p>
        <div class="flex flex-wrap gap-2">
          <button v-for="f in forms" :key="f.form" type="button" class="button" @click="begin(f.form, f.says)">{{ f.name }}</button>
        </div>
      </div>
    </template>
  </div>
</template>
