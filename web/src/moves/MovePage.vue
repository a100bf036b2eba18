<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { useI18n } from 'vue-i18n'
import { isOwnId } from '@esfuerzo/core'
import { useSettings } from '../settings/store.ts'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import { usePageTitle } from '../shared/pageTitle.ts'
import { library } from '../repertoire/library.ts'
import { cycleOf, figureOf } from '../repertoire/standardFigure.ts'
import { useRepertoire } from '../repertoire/store.ts'

/** One exercise: its versions side by side, cues, common faults, cautions, equipment. */
const props = defineProps<{ moveId: string }>()
const { t, n } = useI18n()
const repertoire = useRepertoire()
const settings = useSettings()
onMounted(() => {
  void settings.load()
  if (!repertoire.loaded) void repertoire.load()
})
const move = computed(() => library.moves.get(props.moveId))
usePageTitle(() => move.value?.name)
const muscles = (ids: readonly string[]) => ids.flatMap((id) => library.muscles.get(id) ?? [])
const activity = computed(() => library.effort.get(move.value?.effort ?? ''))
const kit = computed(() =>
  (move.value?.kit ?? []).flatMap((need) => {
    const item = library.kit.get(need.id)
    return item ? [{ ...item, optional: need.optional }] : []
  }),
)
const counters = computed(() => (move.value?.counters ?? []).flatMap((id) => library.moves.get(id) ?? []))
const used = computed(() => repertoire.lately.get(props.moveId))
</script>

<template>
  <main v-if="move" class="page">
    <router-link :to="{ name: 'moves' }" class="back">{{ t('moves.back') }}</router-link>
    <header>
      <h1>{{ move.name }}</h1>
      <span v-if="move.playName" class="quiet">“{{ move.playName }}”</span>
      <span class="grow" />
      <v-btn :to="{ name: 'new-move', query: { from: move.id } }">{{ t('moves.copy') }}</v-btn>
      <v-btn v-if="isOwnId(move.id)" class="main" :to="{ name: 'edit-move', params: { move: move.id } }">{{
        t('moves.edit')
      }}</v-btn>
    </header>
    <p class="quiet">
      {{ t(`family.${move.family}`) }} · {{ t(`moves.sides.${move.sides}`) }} ·
      {{ t(`moves.posture.${move.posture}`) }} · {{ t(`space.${move.space}`) }} ·
      {{ move.noise === 'thud' ? t('moves.thuds') : t('moves.isQuiet') }}
      <template v-if="used"> · {{ t('moves.usedLast', { date: $d(new Date(used)) }) }}</template>
    </p>
    <p v-if="move.adult" class="care-note">{{ t('moves.adult') }}</p>
    <p v-for="caution in move.cautions" :key="caution" class="care-note">{{ caution }}</p>

    <h2>{{ t('moves.versions') }}</h2>
    <ol class="versions">
      <li v-for="v in move.versions" :key="v.id" class="card" :class="{ on: v.id === move.standard }">
        <MoveFigure
          v-if="figureOf(move, v, library)"
          :figure="figureOf(move, v, library)!"
          :size="150"
          both
          :cycle="cycleOf(v, figureOf(move, v, library))"
        />
        <b>{{ v.name }}</b>
        <span>{{ v.how }}</span>
        <small class="quiet">
          {{ t('moves.fromGrade', { grade: settings.gradeNames[v.fromGrade] }) }} ·
          {{ move.measures.includes('reps') ? t('moves.perRep', { n: n(v.secondsPerRep) }) : t('moves.held') }}
          <template v-if="v.impact > 0"> · {{ t('moves.impact', { n: n(v.impact) }) }}</template>
        </small>
        <small v-if="v.id === move.standard" class="standard">{{ t('moves.standard') }}</small>
      </li>
    </ol>

    <div class="facts">
      <section>
        <h2>{{ t('moves.cues') }}</h2>
        <ul class="bullets">
          <li v-for="cue in move.cues" :key="cue">{{ cue }}</li>
        </ul>
        <template v-if="move.faults.length">
          <h2>{{ t('moves.faults') }}</h2>
          <dl>
            <template v-for="fault in move.faults" :key="fault.see">
              <dt>{{ fault.see }}</dt>
              <dd>“{{ fault.say }}”</dd>
            </template>
          </dl>
        </template>
        <template v-if="move.synonyms.length">
          <h2>{{ t('moves.synonyms') }}</h2>
          <p>{{ move.synonyms.join(', ') }}</p>
        </template>
      </section>
      <section>
        <h2>{{ t('moves.muscles') }}</h2>
        <ul class="bullets">
          <li v-for="m in muscles(move.muscles.main)" :key="m.id">
            <b>{{ m.name }}</b> <span class="quiet">({{ m.anatomical }})</span>
          </li>
          <li v-for="m in muscles(move.muscles.also)" :key="m.id">
            {{ t('moves.also', { name: m.name }) }} <span class="quiet">({{ m.anatomical }})</span>
          </li>
          <li v-for="m in muscles(move.stretches ?? [])" :key="m.id">
            {{ t('moves.stretches', { name: m.name }) }} <span class="quiet">({{ m.anatomical }})</span>
          </li>
          <li v-if="!move.muscles.main.length && !move.muscles.also.length && !move.stretches">
            {{ t('moves.noMuscle') }}
          </li>
        </ul>
        <h2>{{ t('moves.kit') }}</h2>
        <p v-if="!kit.length">{{ t('moves.nothing') }}</p>
        <ul v-else class="bullets">
          <li v-for="item in kit" :key="item.id">
            <b>{{ item.name }}</b> <span v-if="item.optional" class="quiet">{{ t('moves.optional') }}</span>
            <span class="quiet block">{{
              item.standIns.length ? t('moves.orElse', { list: item.standIns.join(', ') }) : item.noStandIn
            }}</span>
          </li>
        </ul>
        <template v-if="counters.length">
          <h2>{{ t('moves.counters') }}</h2>
          <p>
            <router-link v-for="c in counters" :key="c.id" :to="{ name: 'move', params: { move: c.id } }">{{
              c.name
            }}</router-link>
          </p>
        </template>
        <h2>{{ t('moves.effort') }}</h2>
        <p class="quiet">
          {{ activity ? t('moves.effortFrom', { code: activity.code, name: activity.name }) : t('moves.effortOurs') }}
        </p>
      </section>
    </div>
  </main>
  <main v-else class="page">
    <h1>{{ t('moves.lost') }}</h1>
    <p>{{ t('moves.lostWhy') }}</p>
    <p>
      <v-btn class="main" :to="{ name: 'moves' }">{{ t('moves.back') }}</v-btn>
    </p>
  </main>
</template>

<style scoped>
.page {
  padding: 16px 24px 40px;
  max-width: 1120px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin-top: 4px;
}
h1 {
  font-size: 28px;
}
h2 {
  font-size: 17px;
  margin: 18px 0 6px;
}
p {
  margin: 4px 0;
}
.versions {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 12px;
}
.versions li {
  display: grid;
  gap: 2px;
  align-content: start;
  justify-items: start;
  padding: 10px 14px 12px;
}
.versions .on {
  border: 2px solid var(--action);
  padding: 9px 13px 11px;
}
.standard {
  color: var(--action);
  font-weight: 700;
}
.facts {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 32px;
}
dt {
  color: var(--quiet);
}
dd {
  margin: 0 0 6px;
}
.block {
  display: block;
}
a {
  color: var(--action);
  margin-right: 8px;
}
@media (max-width: 800px) {
  .facts {
    grid-template-columns: 1fr;
  }
}
</style>
