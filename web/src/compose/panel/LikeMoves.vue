<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Scope } from '@esfuerzo/core'
import { type LikeMove } from '@esfuerzo/core/choose'
import { figureOf } from '../../repertoire/standardFigure.ts'
import MoveFigure from '../../shared/figure/MoveFigure.vue'
import { library } from '../../repertoire/library.ts'
import type { Row } from '../order/rows.ts'
import { useSession } from '../session/useSession.ts'
import { useCursor } from '../cursor/useCursor.ts'
import { useEdits } from '../edits/useEdits.ts'

/** Exercises that could replace a row's, each with its reason. */
const props = defineProps<{ row: Extract<Row, { kind: 'station' }>; scope: Scope }>()
const { t } = useI18n()
const session = useSession()
const cursor = useCursor()
const edits = useEdits()
const shown = 5
const likes = computed(() => {
  const there = new Set(cursor.rows.flatMap((r) => (r.kind === 'station' ? [r.station.cells.all.move] : [])))
  const whom = session.document.groups.filter((g) => props.scope === 'all' || props.scope.includes(g.id))
  return edits.likesOf(props.row, whom, there).slice(0, shown)
})
const reason = (like: LikeMove) =>
  [
    ...(like.sameFamily ? [t(`family.${like.move.family}`)] : []),
    ...like.shared.map((id) => library.muscles.get(id)?.name ?? id),
  ].join(' · ')
</script>

<template>
  <details class="likes">
    <summary>{{ t('swap.title') }} <kbd>S</kbd></summary>
    <p v-if="!likes.length" class="quiet">{{ t('messages.nothingLike') }}</p>
    <ul v-else>
      <li v-for="like in likes" :key="like.move.id">
        <button
          type="button"
          :aria-label="t('swap.take', { name: like.move.name })"
          @click="edits.swap(like.move.id, scope)"
        >
          <MoveFigure
            v-if="figureOf(like.move, like.version, library)"
            :figure="figureOf(like.move, like.version, library)!"
            :size="40"
          />
          <span>{{ like.move.name }}<small class="quiet">{{ reason(like) }}</small></span>
        </button>
      </li>
    </ul>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  font-weight: 700;
  padding: 4px 0;
}
p {
  margin: 4px 0;
}
button {
  display: flex;
  gap: 8px;
  align-items: center;
  width: 100%;
  padding: 3px 4px;
  border: 0;
  border-top: 1px solid var(--hair);
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
button:hover {
  background: var(--action-soft);
}
small {
  display: block;
  font-size: 13px;
}
</style>
