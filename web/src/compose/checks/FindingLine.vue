<script setup lang="ts">
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { minutesText, type Language } from '@esfuerzo/core'
import { findingText, fixText, sourcesOf, type Finding, type MadeFix } from '@esfuerzo/core/checks'
import LaneKey from '../../shared/lanes/LaneKey.vue'
import { useSession } from '../session/useSession.ts'
import { levelIcons } from './levelIcons.ts'

/** One finding: its weight, what it is, for which groups, why it matters, its fixes, and the way to its place. */
const props = defineProps<{
  finding: Finding
  fixes?: readonly MadeFix[]
  /** The session changed since these fixes were computed: they must not be applied. */
  stale?: boolean
}>()
const emit = defineEmits<{ go: []; fix: [fix: MadeFix]; leave: [reason: string]; reopen: [] }>()
const { t, locale } = useI18n()
const session = useSession()

const language = computed(() => locale.value as Language)
const text = computed(() => findingText(props.finding, language.value))
const source = computed(() => sourcesOf(props.finding.rule).join('; '))
const groups = computed(() => session.document.groups.filter((g) => props.finding.groups.includes(g.id)))
/** Names the groups if it is not about all of them. */
const some = computed(() => groups.value.length > 0 && groups.value.length < session.document.groups.length)
const row = computed(() => {
  const { section, block, station } = props.finding.where
  return station ?? block ?? section
})
const signed = (seconds: number): string => `${seconds > 0 ? '+' : '−'}${minutesText(Math.abs(seconds))}`
/** How much longer or shorter each lane gets; empty if nothing changes. */
const byText = ({ seconds }: MadeFix): string => {
  const all = session.document.groups.map(({ id, letter }) => ({ letter, by: seconds[id] ?? 0 }))
  const changed = all.filter(({ by }) => by !== 0)
  const [first] = changed
  if (!first) return ''
  if (changed.length === all.length && all.every(({ by }) => by === first.by)) return ` · ${signed(first.by)}`
  return ` · ${changed.map(({ letter, by }) => `${letter} ${signed(by)}`).join(', ')}`
}

const leaving = ref(false)
const reason = ref('')
function onLeave() {
  emit('leave', reason.value.trim())
  leaving.value = false
}
</script>

<template>
  <li :class="finding.level">
    <span role="img" :aria-label="t(`checks.level.${finding.level}`)"
      ><v-icon :icon="levelIcons[finding.level]" size="20"
    /></span>
    <div>
      <p>
        {{ text.what }}
        <span v-if="some" class="for"><LaneKey v-for="g in groups" :key="g.id" :letter="g.letter" /></span>
      </p>
      <p class="quiet why">
        {{ text.why }} <small v-if="source" class="source">{{ t('checks.source', { source }) }}</small>
      </p>
      <p v-if="finding.answered !== undefined" class="why">
        {{ finding.answered ? t('checks.leftBecause', { reason: finding.answered }) : t('checks.left') }}
        <button type="button" class="link" @click="emit('reopen')">{{ t('checks.reopen') }}</button>
      </p>
      <template v-else>
        <div v-if="fixes?.length" class="fixes">
          <v-btn v-for="fix in fixes" :key="fix.id" size="small" :disabled="stale" @click="emit('fix', fix)"
            >{{ fixText(fix, language) }}{{ byText(fix) }}</v-btn
          >
        </div>
        <p class="ways">
          <button v-if="row" type="button" class="link" @click="emit('go')">{{ t('checks.go') }}</button>
          <button type="button" class="link" :aria-expanded="leaving" @click="leaving = !leaving">
            {{ t('checks.leave') }}
          </button>
        </p>
        <form v-if="leaving" class="leaving" @submit.prevent="onLeave">
          <v-text-field v-model="reason" :label="t('checks.reason')" maxlength="120" autofocus />
          <v-btn type="submit">{{ t('checks.leaveIt') }}</v-btn>
          <p class="quiet why">{{ t('checks.leaveHow') }}</p>
        </form>
      </template>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr);
  gap: 8px;
  padding: 10px 12px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
}
.stop {
  border-left: 5px solid var(--care);
  background: var(--care-soft);
}
.look {
  border-left: 5px solid var(--action);
}
p {
  margin: 0;
  font-size: 15px;
}
.why {
  margin-top: 4px;
  font-size: 13px;
}
.source {
  display: block;
  font-size: 12px;
}
.for {
  display: inline-flex;
  gap: 6px;
  margin-left: 6px;
}
.fixes {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 8px;
}
.fixes .v-btn {
  height: auto !important;
  min-height: 36px;
  padding-block: 6px;
}
.fixes :deep(.v-btn__content) {
  white-space: normal;
  text-align: left;
}
.ways {
  display: flex;
  gap: 14px;
  margin-top: 6px;
}
.leaving {
  display: grid;
  gap: 6px;
  margin-top: 6px;
}
</style>
