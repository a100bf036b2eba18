<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { fetchList, ProblemError, setDetails, type Home } from '@esfuerzo/core'
import { library } from '../../repertoire/library.ts'
import { useSession } from '../session/useSession.ts'
import { useEdits } from '../edits/useEdits.ts'

/** The equipment of the session as families read it, and what may replace missing things. */
const { t } = useI18n()
const session = useSession()
const edits = useEdits()
const things = computed(() => {
  try {
    return fetchList(session.document, library)
  } catch (error) {
    // An unknown exercise is named in its place.
    if (error instanceof ProblemError) return []
    throw error
  }
})
const moves = (ids: readonly string[]) => ids.map((id) => library.moves.get(id)?.name ?? id).join(', ')
const setHome = (home: Partial<Home>) => edits.edit((now) => setDetails(now, { home }))
function setStandIn(kit: string, standIn: string | null) {
  const { [kit]: _, ...rest } = session.document.home.standIns
  setHome({ standIns: standIn ? { ...rest, [kit]: standIn } : rest })
}
</script>

<template>
  <section :aria-label="t('fetch.title')">
    <h3>{{ t('fetch.title') }}</h3>
    <p v-if="!things.length" class="quiet">{{ t('fetch.nothing') }}</p>
    <ul v-else>
      <li v-for="thing in things" :key="thing.kit" :class="{ missing: thing.missing }">
        <span>
          <b>{{ thing.name }}</b>
          <span v-if="thing.optional" class="quiet aside">{{ t('moves.optional') }}</span>
          <small class="quiet">{{ moves(thing.moves) }}</small>
          <small v-if="thing.missing" class="care">{{ t('fetch.missing') }}</small>
        </span>
        <v-select
          v-if="thing.standIns.length"
          :model-value="thing.standIn ?? null"
          :items="thing.standIns"
          clearable
          :label="t('fetch.instead')"
          @update:model-value="setStandIn(thing.kit, $event)"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
h3 {
  font-size: 15px;
  margin: 0 0 6px;
}
ul {
  display: grid;
  gap: 8px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 260px;
  gap: 12px;
  align-items: center;
}
.aside {
  margin-left: 6px;
}
.missing {
  border-left: 4px solid var(--care);
  padding-left: 8px;
}
small {
  display: block;
  font-size: 13px;
}
</style>
