<script setup lang="ts">
import { mdiPlus, mdiTrashCanOutline } from '@mdi/js'
import { useEventListener } from '@vueuse/core'
import { v4 as uuid } from 'uuid'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router'
import {
  buildsSchema,
  cleanText,
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
import TextField from '../shared/TextField.vue'
import ChoiceField from '../shared/ChoiceField.vue'

/** A move of the teacher's own: new, a copy of one of ours, or one she has. */
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
  // Opened by its address: her moves are not here yet.
  await repertoire.load()
  known.value = findKnown()
  if (known.value) form.begin(known.value)
})
const drawing = ref<string>()
const move = computed(() => draft.value.move)

const set = (change: Partial<Move>) => (draft.value = { ...draft.value, move: { ...move.value, ...change } })
/** Lines of a field that was left; while it is typed in, an empty line is the beginning of the next. */
const list = (event: Event) =>
  (event.target as HTMLTextAreaElement).value
    .split('\n')
    .map((x) => cleanText(x, 'line').trim())
    .filter(Boolean)
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

const open = () => router.push({ name: 'move', params: { move: move.value.id } })
/** A copy that is kept as it is has changed nothing, but is new. */
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

    <section class="grid" :aria-label="t('moves.about')">
      <TextField :model-value="move.name" :label="t('moves.name')" must @update:model-value="(name) => set({ name })" />
      <TextField
        :model-value="move.playName ?? ''"
        :label="t('moves.playName')"
        @update:model-value="(name) => set({ playName: name || undefined })"
      />
      <ChoiceField
        :model-value="move.family"
        :options="families"
        named="family"
        :label="t('moves.family')"
        @update:model-value="set({ family: $event })"
      />
      <ChoiceField
        :model-value="move.builds"
        :options="buildsSchema.options"
        named="builds"
        multiple
        :label="t('details.builds')"
        @update:model-value="$event.length && set({ builds: $event })"
      />
      <v-select
        :model-value="move.muscles.main"
        :items="muscles"
        multiple
        :label="t('moves.mainMuscles')"
        @update:model-value="set({ muscles: { ...move.muscles, main: $event } })"
      />
      <v-select
        :model-value="move.stretches ?? []"
        :items="muscles"
        multiple
        :label="t('moves.stretched')"
        @update:model-value="set({ stretches: $event.length ? $event : undefined })"
      />
      <ChoiceField
        :model-value="move.posture"
        :options="postureSchema.options"
        named="moves.posture"
        :label="t('moves.postureLabel')"
        @update:model-value="set({ posture: $event })"
      />
      <ChoiceField
        :model-value="move.sides"
        :options="sidesSchema.options"
        named="moves.sides"
        :label="t('moves.sidesLabel')"
        @update:model-value="set({ sides: $event })"
      />
      <ChoiceField
        :model-value="move.space"
        :options="spaceSchema.options"
        named="space"
        :label="t('details.space')"
        @update:model-value="set({ space: $event })"
      />
      <ChoiceField
        :model-value="move.measures"
        :options="['reps', 'seconds', 'breaths', 'metres', 'goes', 'score']"
        named="unit.name"
        multiple
        :label="t('moves.measures')"
        @update:model-value="$event.length && set({ measures: $event })"
      />
      <v-select
        :model-value="move.kit.map((k) => k.id)"
        :items="kit"
        multiple
        :label="t('moves.kit')"
        @update:model-value="set({ kit: $event.slice(0, 4).map((id: string) => ({ id })) })"
      />
      <v-switch
        :model-value="move.noise === 'thud'"
        :label="t('moves.thudsLabel')"
        @update:model-value="set({ noise: $event ? 'thud' : 'quiet' })"
      />
      <v-textarea
        :model-value="move.cues.join('\n')"
        :label="t('moves.cuesLabel')"
        rows="3"
        @change="set({ cues: list($event).slice(0, 4) })"
      />
      <v-textarea
        :model-value="move.cautions.join('\n')"
        :label="t('moves.cautionsLabel')"
        rows="3"
        @change="set({ cautions: list($event) })"
      />
    </section>

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

    <v-dialog
      :model-value="drawing !== undefined"
      :max-width="860"
      scrollable
      :aria-label="t('figure.title')"
      @update:model-value="drawing = undefined"
    >
      <v-card>
        <v-card-title>{{ t('figure.title') }}</v-card-title>
        <v-card-text>
          <FigureEditor v-if="drawn" :model-value="drawn" @update:model-value="draft = setFigure(draft, $event)" />
        </v-card-text>
        <v-card-actions><v-btn class="main" @click="drawing = undefined">{{ t('done') }}</v-btn></v-card-actions>
      </v-card>
    </v-dialog>
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
