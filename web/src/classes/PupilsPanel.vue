<script setup lang="ts">
import { DateTime } from 'luxon'
import { mdiDeleteOutline, mdiPencilOutline } from '@mdi/js'
import { computed, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Pupil, type RemovedPupil, type SchoolClass } from '@esfuerzo/contract'
import { looksLikeName, proposedAliases, pupilRoom } from '@esfuerzo/core/classBook'
import { client } from '../shared/client.ts'
import { useTried } from './useTried.ts'
import PupilEdit from './PupilEdit.vue'

/** The pupils of a class: added by alias, renamed, moved, deleted; their codes on slips. */
const props = defineProps<{
  of: SchoolClass
  pupils: readonly Pupil[]
  removed: readonly RemovedPupil[]
  classes: readonly SchoolClass[]
}>()
const emit = defineEmits<{ changed: [] }>()
const { t, locale } = useI18n()
const { problem, tried } = useTried()
const editing = shallowRef<Pupil>()
const gone = shallowRef<Pupil>()

const text = ref('')
/** One alias per line; in a table pasted from elsewhere it is the first cell. */
const typed = computed(() =>
  text.value
    .split(/[\n;]/)
    .map((line) => line.split('\t')[0]!.trim())
    .filter(Boolean),
)
const names = computed(() => typed.value.filter(looksLikeName))
const room = computed(() => pupilRoom - props.pupils.length)
const many = ref(20)
function onPropose() {
  const count = Math.max(0, Math.min(room.value - typed.value.length, Math.round(Number(many.value)) || 0))
  const taken = [...props.pupils.map((p) => p.alias), ...typed.value]
  const proposed = proposedAliases(count, taken, () => crypto.getRandomValues(new Uint32Array(1))[0]! / 2 ** 32)
  text.value = [...typed.value, ...proposed].join('\n')
}

/** A call that changes the class. */
const changed = async (work: () => Promise<unknown>) => {
  const well = await tried(work)
  if (well) emit('changed')
  return well
}
async function onAdd() {
  const body = { aliases: typed.value }
  if (await changed(() => client('addPupils', { params: { id: props.of.id }, body }))) text.value = ''
}
async function onRemove(pupil: Pupil) {
  if (await changed(() => client('removePupil', { params: { id: pupil.id } }))) gone.value = pupil
}
const onRestore = (id: string) => changed(() => client('restorePupil', { params: { id } }))
const onDelete = (id: string) => changed(() => client('deletePupil', { params: { id } }))
async function onUndo() {
  if (gone.value) await onRestore(gone.value.id)
  gone.value = undefined
}
const slips = (pupil?: Pupil) =>
  `/api/classes/${props.of.id}/slips?language=${locale.value}${pupil ? `&pupils=${pupil.id}` : ''}`
const inDays = (iso: string) => DateTime.fromISO(iso).toRelative({ locale: locale.value })
</script>

<template>
  <div class="columns">
    <section class="card" aria-labelledby="pupils">
      <header>
        <h2 id="pupils">{{ t('pupils.title', { n: pupils.length }, pupils.length) }}</h2>
        <v-btn v-if="pupils.length" :href="slips()" target="_blank">{{ t('pupils.slips') }}</v-btn>
      </header>
      <p v-if="!pupils.length" class="quiet pad">{{ t('pupils.none') }}</p>
      <ul v-else>
        <li v-for="pupil in pupils" :key="pupil.id">
          <span>
            <b>{{ pupil.alias }}</b>
            <small class="quiet">{{ t('pupils.results', { n: pupil.results }, pupil.results) }}</small>
            <small v-if="pupil.note" class="quiet note">{{ pupil.note }}</small>
          </span>
          <v-btn
            class="plain"
            :icon="mdiPencilOutline"
            :aria-label="t('pupils.edit', { alias: pupil.alias })"
            @click="editing = pupil"
          />
          <v-btn
            class="plain"
            :icon="mdiDeleteOutline"
            :aria-label="t('pupils.remove', { alias: pupil.alias })"
            @click="onRemove(pupil)"
          />
        </li>
      </ul>
    </section>
    <div class="stack">
      <section class="card pad" aria-labelledby="add">
        <h2 id="add">{{ t('pupils.add') }}</h2>
        <p class="quiet">{{ t('pupils.addLead') }}</p>
        <div class="propose">
          <v-text-field v-model="many" type="number" min="1" :max="room" :label="t('pupils.howMany')" />
          <v-btn :disabled="room <= typed.length" @click="onPropose">{{ t('pupils.propose') }}</v-btn>
        </div>
        <v-textarea v-model="text" rows="6" :label="t('pupils.aliases')" maxlength="2000" />
        <p v-if="names.length" class="care" role="status">
          {{ t('pupils.looksLikeName', { list: names.join(', ') }) }}
        </p>
        <p v-if="typed.length > room" class="care">{{ t('pupils.noRoom', { n: pupilRoom }) }}</p>
        <p v-if="problem" class="care" role="alert">{{ problem }}</p>
        <v-btn class="main" :disabled="!typed.length || typed.length > room" @click="onAdd">{{
          t('pupils.addThem', { n: typed.length }, typed.length)
        }}</v-btn>
      </section>
      <section v-if="removed.length" class="card" aria-labelledby="gone">
        <h2 id="gone" class="pad">{{ t('pupils.removed') }}</h2>
        <ul>
          <li v-for="pupil in removed" :key="pupil.id">
            <span
              ><b>{{ pupil.alias }}</b
              ><small class="quiet">{{ t('pupils.goneIn', { when: inDays(pupil.goneAt) }) }}</small></span
            >
            <v-btn size="small" @click="onRestore(pupil.id)">{{ t('pupils.restore') }}</v-btn>
            <v-btn size="small" class="plain" @click="onDelete(pupil.id)">{{ t('pupils.forGood') }}</v-btn>
          </li>
        </ul>
      </section>
    </div>
    <PupilEdit
      v-if="editing"
      :pupil="editing"
      :of="of"
      :classes="classes"
      :slip="slips(editing)"
      @close="editing = undefined"
      @changed="emit('changed')"
    />
    <v-snackbar :model-value="gone !== undefined" @update:model-value="gone = undefined">
      {{ t('pupils.gone', { alias: gone?.alias }) }}
      <template #actions><v-btn @click="onUndo">{{ t('undo') }}</v-btn></template>
    </v-snackbar>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 18px;
  align-items: start;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 14px 16px;
}
.pad {
  padding: 14px 16px;
}
section.pad {
  display: grid;
  gap: 12px;
}
.propose {
  display: grid;
  grid-template-columns: 120px auto;
  gap: 12px;
  align-items: center;
  justify-content: start;
}
ul {
  padding: 0 0 6px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  align-items: center;
  gap: 4px;
  padding: 2px 8px 2px 16px;
  border-top: 1px solid var(--hair);
}
small {
  margin-left: 10px;
}
.note {
  display: block;
  margin: 0;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
