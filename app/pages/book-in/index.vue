<script setup lang="ts">
import { PhRows } from '~/kernel/signs/icons'
import { acquisitionNames, acquisitions } from '#shared/kernel/acquisitions'

useHead({ title: 'Book in' })
const session = useSession()
const { known: models } = useModels()
const typedName = ref('')
const typedMaker = ref('')
const claims = ref<string[]>([])
const model = computed(() => modelNamed(models.value, typedName.value, typedMaker.value))
const fixed = computed(() => ({ modelId: model.value?.id ?? null }))

const initial = {
  name: '',
  maker: '',
  nickname: '',
  serial: '',
  variant: '',
  weightKg: '',
  place: '',
  acquired: undefined,
  fromWhom: '',
  owner: '',
  lastPowered: '',
  lastPoweredBy: '',
  lastPoweredWhat: '',
  claims: [],
  accessories: [],
  dateCodes: [],
}
/** Pictures taken at the back door wait here until the machine has a tag, and are sent under it then. */
const pictures = ref<File[]>([])
const bookedAs = ref('')
const uploads = useUploads(bookedAs)
const sending = computed(() => uploads.uploads.value.some(u => ['waiting', 'sending', 'working'].includes(u.state)))
const refused = computed(() => uploads.uploads.value.some(u => u.state === 'refused'))
async function done(result: unknown) {
  bookedAs.value = (result as { tag: string }).tag
  if (pictures.value.length) uploads.add(pictures.value)
  else await open()
}
const open = () => navigateTo(`/m/${bookedAs.value}`)
// Once every picture is kept, on to the sheet; one that was refused is looked at first.
watch(sending, now => !now && bookedAs.value && !refused.value && void open())
</script>

<template>
  <div class="grid max-w-5xl gap-4">
    <header class="flex flex-wrap items-center justify-between gap-2">
      <div>
        <h1>Book in a machine</h1>
        <p class="text-ink-2">What it is, whose it is, what was claimed about it, and what came with it. The rest can wait.</p>
      </div>
      <NuxtLink v-if="session.may('book-in-lot')" to="/book-in/lot" class="button"><PhRows aria-hidden="true" />Book in a job lot</NuxtLink>
    </header>
    <EmptyPlace v-if="!session.may('book-in')" says="Booking in is for volunteers and coordinators." />
    <OneCard v-else-if="bookedAs" :title="`Booked in as ${bookedAs}`" hint="Its photographs are being sent.">
      <UploadList :uploads="uploads.uploads.value" :leave="uploads.leave" :again="uploads.again" :clear="uploads.clear" />
      <div class="flex flex-wrap gap-2">
        <button type="button" class="button button-main" @click="open">Open its sheet</button>
        <NuxtLink :to="{ path: '/labels', query: { tags: bookedAs } }" class="button">Its arrival label</NuxtLink>
      </div>
    </OneCard>
    <CommandForm v-else command="book-in" :initial="initial" :fixed="fixed" label="Book in" submit="Book in" keeps @done="done">
      <template #default="{ values }">
        <WatchValues
          :values="values"
          @changed="
            v => {
              typedName = String(v.name ?? '')
              typedMaker = String(v.maker ?? '')
              claims = (v.claims as string[] | undefined) ?? []
            }
          "
        />
        <div class="grid items-start gap-4 lg:grid-cols-2">
          <div class="grid gap-4">
            <OneCard title="What it is">
              <TextField name="name" label="Model or description" :suggestions="models.map(m => m.name)" />
              <TextField name="maker" label="Maker" :suggestions="[...new Set(models.map(m => m.maker))]" />
              <AnotherSpelling :known="models" />
              <KnownModel v-if="model" :model="model" />
              <div class="grid gap-3 sm:grid-cols-2">
                <TextField name="nickname" label="Nickname" hint="What people here will call it" />
                <TextField name="serial" label="Serial number" />
                <TextField name="variant" label="Board issue or variant" :suggestions="model?.variants" />
                <TextField name="weightKg" label="Weight" hint="In kg, such as 12.5" />
                <TextField name="place" label="Location" />
              </div>
            </OneCard>
            <OneCard title="When it last ran">
              <DayField name="lastPowered" label="Last powered" rough hint="A year, month or day: 1998, May 1998 or 17 May 1998" />
              <TextField name="lastPoweredBy" label="By whom" />
              <TextField name="lastPoweredWhat" label="What happened" :lines="2" />
            </OneCard>
          </div>
          <div class="grid gap-4">
            <OneCard title="How it came">
              <ChoiceField name="acquired" label="How it came" :options="acquisitions.map(value => ({ value, label: acquisitionNames[value] }))" />
              <TextField name="fromWhom" label="From whom" :hint="values.acquired === 'found' ? 'Not needed: it was found' : undefined" />
              <TextField name="owner" label="Whose it is" hint="Needed where it is lent, or here for repair only" />
            </OneCard>
            <OneCard title="Claimed and brought">
              <LinesField name="claims" label="Claims, one a line" hint="In their words. A claim is kept as a claim until it was tested." />
              <ClaimsLikeThese :claims="claims" />
              <LinesField name="accessories" label="What came with it, one a line" hint="Supply, leads, manuals, media, box" />
            </OneCard>
          </div>
          <OneCard title="As found" hint="Photographs before anything is touched; sent once it is booked in." class="lg:col-span-2">
            <PicturesWaiting v-model="pictures" />
          </OneCard>
          <OneCard title="Date codes" hint="As they stand on the chips; read as you type." class="lg:col-span-2"><DateCodesField name="dateCodes" /></OneCard>
        </div>
      </template>
    </CommandForm>
  </div>
</template>
