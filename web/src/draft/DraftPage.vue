<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, useRouter } from 'vue-router'
import { buildsSchema, spaceSchema, type Home, type Session } from '@esfuerzo/core'
import { intents, withExplaining, type Intent } from '@esfuerzo/core/draft'
import { callCode } from '@esfuerzo/contract'
import FieldList from '../shared/fields/FieldList.vue'
import { choiceField, itemsField, numberField, type Field } from '../shared/fields/field.ts'
import { client } from '../shared/client.ts'
import { library } from '../repertoire/library.ts'
import { useRepertoire } from '../repertoire/store.ts'
import { useSettings } from '../settings/store.ts'
import DraftCard from './DraftCard.vue'
import { addressOf, groupsOf, knownBefore, withAddress, type KnownBefore } from './askFrom.ts'
import { useDrafts } from './useDrafts.ts'

/** Three sessions for these conditions, side by side: take one, or keep its good rows and draft the rest again. */
const { t } = useI18n()
const route = useRoute()
const router = useRouter()
const settings = useSettings()
const repertoire = useRepertoire()
const { drafts, keptOf, making, problem, make, stop, keep, forget } = useDrafts()

/** The empty session it is for. */
const into = shallowRef<{ id: string; revision: number; document: Session }>()
const known = shallowRef<KnownBefore>()
const failed = ref('')
// The address contains it, with the conditions: opening it again gives the same three.
let seed = Number(route.query.seed) || 1 + Math.floor(Math.random() * 1_000_000)
/** How often one of them was requested again. */
let others = 0
const explains = ref<ReadonlySet<Intent>>(new Set(intents))

const classes = [
  [0, 1],
  [2, 3],
  [4, 5, 6],
]
const kit = computed(() =>
  [...library.kit.values()].filter((k) => !k.usual).map((k) => ({ value: k.id, title: k.name })),
)
const grades = computed(() => new Set(known.value?.groups.map((g) => g.grades.join(' '))))
const choices = computed(() => groupsOf(classes, settings.gradeNames))

async function load() {
  failed.value = ''
  try {
    const session = String(route.query.session ?? '')
    await Promise.all([settings.load(), repertoire.load()])
    if (session) {
      const { document, revision } = await client('readSession', { params: { id: session } })
      into.value = { id: session, revision, document }
    }
    const { gradeNames } = settings
    const before = await knownBefore(into.value?.document, gradeNames)
    known.value = withAddress(before, route.query, { gradeNames, fixed: into.value !== undefined })
    await draftThree()
  } catch (error) {
    failed.value = callCode(error)
  }
}
onMounted(load)

function set(change: Partial<KnownBefore>) {
  if (known.value) known.value = { ...known.value, ...change }
}
const setHome = (home: Partial<Home>) => known.value && set({ home: { ...known.value.home, ...home } })
function toggle(gradesOf: readonly number[]) {
  const now = choices.value.filter(
    (g) => grades.value.has(g.grades.join(' ')) !== (g.grades.join(' ') === gradesOf.join(' ')),
  )
  if (now.length)
    set({
      groups: groupsOf(
        now.map((g) => g.grades),
        settings.gradeNames,
      ),
    })
}
const fields = computed((): Field[] => {
  if (!known.value) return []
  const { aim, minutes, home } = known.value
  return [
    choiceField(t('draft.aim'), buildsSchema.options, 'builds', aim, (chosen) => set({ aim: chosen })),
    numberField(t('details.minutes'), minutes, (n) => set({ minutes: n }), { min: 5, max: 60, suffix: 'min' }),
    choiceField(t('details.space'), spaceSchema.options, 'space', home.space, (space) => setHome({ space })),
    itemsField(t('draft.kit'), kit.value, home.kit, (ids) => setHome({ kit: ids })),
  ]
})

const ask = (seed: number) => ({
  ...known.value!,
  known: new Set(repertoire.lately.keys()),
  hold: settings.settings?.policy.hold,
  policies: settings.settings?.checks,
  seed: seed,
})
async function draftThree() {
  await forget()
  await router.replace({ query: { ...route.query, ...addressOf(known.value!, seed) } })
  await make(ask(seed))
}
/** Requested again under the same conditions, others come. */
async function onDraft() {
  seed++
  await draftThree()
}
const onAgain = (intent: Intent) => make(ask(seed + 1_000_003 * ++others), [intent])

/** What is shown in a draft's place. */
const insteadOf = (intent: Intent): string =>
  making.value ? t('draft.making') : t(drafts.value[intent] === null ? 'draft.nothing' : 'draft.none')

function onExplain(intent: Intent, on: boolean) {
  const others = [...explains.value].filter((i) => i !== intent)
  explains.value = new Set(on ? [...others, intent] : others)
}

const taking = ref(false)
/** The draft as taken: with the time to explain if wanted; into the empty session under its own name. */
async function onTake(intent: Intent) {
  const draft = drafts.value[intent]
  if (!draft) return
  taking.value = true
  failed.value = ''
  const document = explains.value.has(intent) ? withExplaining(draft) : draft.session
  try {
    if (into.value) {
      const { id, revision, document: before } = into.value
      await client('saveSession', {
        params: { id },
        body: { document: { ...document, title: before.title }, revision },
      })
      await router.push({ name: 'compose', params: { id } })
    } else {
      const { id } = await client('createSession', { body: { document } })
      await router.push({ name: 'compose', params: { id } })
    }
  } catch (error) {
    failed.value = callCode(error)
  }
  taking.value = false
}
</script>

<template>
  <main class="drafts">
    <header>
      <h1>{{ t('draft.title') }}</h1>
      <p class="quiet">{{ t('draft.lead') }}</p>
    </header>
    <p v-if="failed || problem" class="care" role="alert">
      {{ t(`errors.${failed || problem}`) }} <v-btn v-if="!known" @click="load">{{ t('tryAgain') }}</v-btn>
    </p>
    <p v-if="!known && !failed" class="quiet">{{ t('loading') }}</p>
    <form v-if="known" class="card ask" :aria-label="t('draft.ask')" @submit.prevent="onDraft">
      <FieldList :fields="fields" />
      <div class="ticks">
        <fieldset v-if="!into">
          <legend class="out-of-sight">{{ t('new.groups') }}</legend>
          <label v-for="g in choices" :key="g.id"
            ><input type="checkbox" :checked="grades.has(g.grades.join(' '))" @change="toggle(g.grades)" />
            {{ t('desk.grades', { grades: g.name }) }}</label
          >
        </fieldset>
        <label
          ><input
            type="checkbox"
            :checked="known.home.quiet"
            @change="setHome({ quiet: ($event.target as HTMLInputElement).checked })"
          />
          {{ t('draft.quiet') }}</label
        >
        <label
          ><input
            type="checkbox"
            :checked="known.home.company === 'alone'"
            @change="setHome({ company: ($event.target as HTMLInputElement).checked ? 'alone' : 'together' })"
          />
          {{ t('draft.alone') }}</label
        >
      </div>
      <div class="do">
        <v-btn v-if="making" @click="stop">{{ t('draft.stop') }}</v-btn>
        <v-btn class="main" type="submit" :disabled="Boolean(making)">{{ t('draft.go') }}</v-btn>
      </div>
    </form>
    <p class="out-of-sight" aria-live="polite">{{ making ? t('draft.making') : '' }}</p>
    <div v-if="known" class="three">
      <template v-for="intent in intents" :key="intent">
        <DraftCard
          v-if="drafts[intent]"
          :draft="drafts[intent]!"
          :kept="keptOf(intent)"
          :explains="explains.has(intent)"
          :busy="Boolean(making) || taking"
          @take="onTake(intent)"
          @again="onAgain(intent)"
          @keep="keep(intent, $event)"
          @explain="onExplain(intent, $event)"
        />
        <section v-else class="card waiting" :aria-label="t(`draft.intent.${intent}`)">
          <h2>{{ t(`draft.intent.${intent}`) }}</h2>
          <p class="quiet">{{ insteadOf(intent) }}</p>
        </section>
      </template>
    </div>
  </main>
</template>

<style scoped>
.drafts {
  padding: 24px 28px 40px;
  display: grid;
  gap: 16px;
  align-content: start;
}
.waiting h2 {
  margin: 0;
}
.ask {
  display: grid;
  grid-template-columns: 2fr 1fr 2fr 2fr;
  gap: 12px;
  padding: 14px;
  align-items: start;
}
.ticks {
  grid-column: 1 / 4;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
}
.ticks label {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: 32px;
  cursor: pointer;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
}
.do {
  display: flex;
  justify-content: end;
  gap: 8px;
}
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 16px;
  align-items: start;
}
.waiting {
  padding: 14px;
  min-height: 220px;
}
@media (max-width: 1000px) {
  .three,
  .ask {
    grid-template-columns: minmax(0, 1fr);
  }
  .ticks {
    grid-column: auto;
  }
}
</style>
