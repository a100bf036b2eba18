<script setup lang="ts">
import { mdiPlus, mdiTrashCanOutline } from '@mdi/js'
import { useEventListener } from '@vueuse/core'
import { v4 as uuid } from 'uuid'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router'
import {
  buildsSchema,
  families,
  postureSchema,
  sidesSchema,
  spaceSchema,
  type Move,
  type OwnMove,
  type Version,
} from '@esfuerzo/core'
import { problemText } from '../words/i18n.ts'
import { refusalOf } from '../words/refusal.ts'
import { useForm } from '../words/useForm.ts'
import { useSettings } from '../settings/store.ts'
import { library } from '../repertoire/library.ts'
import FigureEditor from './FigureEditor.vue'
import MoveVersionEditor from './MoveVersionEditor.vue'
import {
  addVersion,
  draftFrom,
  drawOwnFigure,
  figureIn,
  removeVersion,
  setFigure,
  setVersion,
  withoutLooseFigures,
} from './moveDraft.ts'
import { useRepertoire } from '../repertoire/store.ts'
import FieldList from '../shared/fields/FieldList.vue'
import {
  choiceField,
  choicesField,
  itemsField,
  linesField,
  switchField,
  textField,
  type Field,
} from '../shared/fields/field.ts'
import AppDialog from '../shared/dialog/AppDialog.vue'

/** A teacher's own exercise: new, a copy of one of ours, or an existing one. */
const props = defineProps<{ moveId?: string }>()
const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const repertoire = useRepertoire()
const settings = useSettings()
void settings.load()

const from = computed(() => library.moves.get(String(route.query.from ?? '')))
const newId = () => `own-${uuid()}`
const findKnown = () => repertoire.own.find((o) => o.move.id === props.moveId)
const known = shallowRef(findKnown())
const form = useForm<OwnMove>(
  known.value ??
    draftFrom(from.value, newId(), from.value ? t('moves.copyOf', { name: from.value.name }) : t('moves.newName')),
  (draft) => repertoire.keep([withoutLooseFigures(draft)]),
)
const { draft, refusal, changed } = form
onMounted(async () => {
  if (!props.moveId || known.value) return
  // Opened by its address: her exercises are not loaded yet.
  await repertoire.load()
  known.value = findKnown()
  if (known.value) form.begin(known.value)
})
const drawing = ref<string>()
const move = computed(() => draft.value.move)

const set = (change: Partial<Move>) => (draft.value = { ...draft.value, move: { ...move.value, ...change } })
const setV = (id: string, change: Partial<Version>) => (draft.value = setVersion(draft.value, id, change))
function onDraw(v: Version) {
  draft.value = drawOwnFigure(draft.value, v.id, newId(), library)
  drawing.value = v.id
}
const drawn = computed(() => {
  const v = move.value.versions.find((x) => x.id === drawing.value)
  return v && figureIn(draft.value, v, library)
})

const muscles = computed(() => [...library.muscles.values()].map((m) => ({ value: m.id, title: m.name })))
const kit = computed(() => [...library.kit.values()].map((k) => ({ value: k.id, title: k.name })))
const measures = ['reps', 'seconds', 'breaths', 'metres', 'goes', 'score'] as const
const fields = computed((): Field[] => {
  const m = move.value
  return [
    textField(t('moves.name'), m.name, (name) => set({ name }), { must: true }),
    textField(t('moves.playName'), m.playName ?? '', (name) => set({ playName: name || undefined })),
    choiceField(t('moves.family'), families, 'family', m.family, (family) => set({ family })),
    choicesField(t('details.builds'), buildsSchema.options, 'builds', m.builds, (builds) => set({ builds })),
    itemsField(t('moves.mainMuscles'), muscles.value, m.muscles.main, (main) =>
      set({ muscles: { ...m.muscles, main } }),
    ),
    itemsField(t('moves.stretched'), muscles.value, m.stretches ?? [], (long) =>
      set({ stretches: long.length ? long : undefined }),
    ),
    choiceField(t('moves.postureLabel'), postureSchema.options, 'moves.posture', m.posture, (posture) =>
      set({ posture }),
    ),
    choiceField(t('moves.sidesLabel'), sidesSchema.options, 'moves.sides', m.sides, (sides) => set({ sides })),
    choiceField(t('details.space'), spaceSchema.options, 'space', m.space, (space) => set({ space })),
    choicesField(t('moves.measures'), measures, 'unit.name', m.measures, (chosen) => set({ measures: chosen })),
    itemsField(
      t('moves.kit'),
      kit.value,
      m.kit.map((k) => k.id),
      (ids) => set({ kit: ids.slice(0, 4).map((id) => ({ id })) }),
    ),
    switchField(t('moves.thudsLabel'), m.noise === 'thud', (thuds) => set({ noise: thuds ? 'thud' : 'quiet' })),
    linesField(t('moves.cuesLabel'), m.cues, (cues) => set({ cues: cues.slice(0, 4) })),
    linesField(t('moves.cautionsLabel'), m.cautions, (cautions) => set({ cautions })),
  ]
})

const open = () => router.push({ name: 'move', params: { move: move.value.id } })
/** An unchanged copy has no changes, but is new. */
const onSave = async () => (await form.save(!known.value)) && open()
async function onRemove() {
  try {
    await repertoire.remove(known.value!)
    form.begin(draft.value)
    await router.push({ name: 'moves' })
  } catch (error) {
    refusal.value = refusalOf(error)
  }
}
useEventListener('beforeunload', (event) => {
  if (changed.value) event.preventDefault()
})
onBeforeRouteLeave(() => !changed.value || window.confirm(t('moves.leave')))
</script>

<template>
  <main class="edit">
    <router-link :to="{ name: 'moves' }" class="back">{{ t('moves.back') }}</router-link>
    <header>
      <h1>{{ known ? t('moves.editTitle', { name: move.name }) : t('moves.newTitle') }}</h1>
      <span class="grow" />
      <v-btn v-if="known" class="plain" :prepend-icon="mdiTrashCanOutline" @click="onRemove">{{
        t('moves.remove')
      }}</v-btn>
      <v-btn class="main" :loading="form.busy.value" @click="onSave">{{ t('moves.keep') }}</v-btn>
    </header>
    <div v-if="refusal" class="care-note" role="alert">
      <p>{{ refusal.sentence || t('moves.notKept') }}</p>
      <ul class="bullets">
        <li v-for="(p, i) in refusal.problems" :key="i">{{ problemText(p) }}</li>
      </ul>
    </div>

    <section class="grid" :aria-label="t('moves.about')"><FieldList :fields="fields" /></section>

    <h2>{{ t('moves.versions') }}</h2>
    <ol>
      <MoveVersionEditor
        v-for="v in move.versions"
        :key="v.id"
        :version="v"
        :own="draft"
        @change="setV(v.id, $event)"
        @standard="set({ standard: v.id })"
        @draw="onDraw(v)"
        @remove="draft = removeVersion(draft, v.id)"
      />
    </ol>
    <v-btn
      v-if="move.versions.length < 5"
      :prepend-icon="mdiPlus"
      @click="draft = addVersion(draft, t('moves.harder'))"
      >{{ t('moves.addVersion') }}</v-btn
    >

    <AppDialog
      :model-value="drawing !== undefined"
      :title="t('figure.title')"
      :width="860"
      @update:model-value="drawing = undefined"
    >
      <FigureEditor v-if="drawn" :model-value="drawn" @update:model-value="draft = setFigure(draft, $event)" />
      <template #actions><v-btn class="main" @click="drawing = undefined">{{ t('done') }}</v-btn></template>
    </AppDialog>
  </main>
</template>

<style scoped>
.edit {
  padding: 16px 24px 48px;
  max-width: 1080px;
}
header,
.row {
  display: flex;
  gap: 10px;
  align-items: center;
}
header {
  margin: 4px 0 14px;
  flex-wrap: wrap;
}
h2 {
  font-size: 18px;
  margin: 20px 0 8px;
}
.grid {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 12px;
}
.care-note p {
  margin: 0;
}
ol {
  margin: 0 0 12px;
  display: grid;
  gap: 12px;
}
</style>
