<script setup lang="ts">
import { computed } from 'vue'
import { measureOf, type Publication } from '@esfuerzo/core/publication'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import { useSentences } from '../shared/sentences.ts'

/** What will be done, in pictures: each exercise and test once, as the first lane does it. A surprise is hidden. */
const props = defineProps<{
  publication: Publication
  /** Looks up a text of the library in the page's language. */
  phrase: (text: string) => string
}>()
const { t } = useSentences()

/** More can't be taken in at a glance. */
const most = 10
const doing = computed(() => {
  const { sections, lanes, moves, figures } = props.publication
  const surprises = new Set(sections.filter((s) => s.surprise).map((s) => s.id))
  const done = new Map<string, string>()
  for (const { section, move, version } of lanes[0]?.steps ?? [])
    if (move && version && !surprises.has(section) && !done.has(move)) done.set(move, version)
  const pictured = [...done].flatMap(([id, version]) => {
    const move = moves.find((m) => m.id === id)
    const figure = figures.find((f) => f.id === move?.versions.find((v) => v.id === version)?.figure)
    return move && figure ? [{ id, figure, name: props.phrase(move.name) }] : []
  })
  const asked = sections.flatMap(({ id, blocks }) =>
    surprises.has(id) ? [] : blocks.map((b) => measureOf(props.publication, lanes[0]?.plays[b.id])),
  )
  const tests = (props.publication.measures ?? []).flatMap((measure) => {
    const figure = figures.find((f) => f.id === measure.figure)
    return asked.includes(measure) && figure ? [{ id: measure.id, figure, name: props.phrase(measure.name) }] : []
  })
  return [...tests, ...pictured]
})
</script>

<template>
  <ul v-if="doing.length" class="doing" :aria-label="t('front.doing')">
    <li v-for="{ id, figure, name } in doing.slice(0, most)" :key="id">
      <MoveFigure :figure="figure" :size="56" /><span>{{ name }}</span>
    </li>
    <li v-if="doing.length > most" class="quiet more">{{ t('front.more', { n: doing.length - most }) }}</li>
  </ul>
</template>

<style scoped>
.doing {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(92px, 1fr));
  gap: 10px;
}
li {
  display: grid;
  justify-items: center;
  align-content: start;
  gap: 2px;
  font-size: 14px;
  line-height: 1.2;
  text-align: center;
}
.more {
  align-content: center;
}
</style>
