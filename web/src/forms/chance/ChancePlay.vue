<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { useSentences } from '../../shared/sentences.ts'
import { type PlayOf } from '@esfuerzo/core/publication'
import { drawn, drawOutcome, startChance, taskDone, tossed, type DrawOutcome } from '@esfuerzo/core/run'
import type { FormScreen } from '../formScreen.ts'
import TurnCard from '../TurnCard.vue'

/** A coin sheet, cards, a die or a toss: played on the screen, or with the real thing and a tap on its result. */
const props = defineProps<FormScreen<PlayOf<'chance'>>>()
const emit = defineEmits<{ finish: [] }>()
const { t } = useSentences()
const game = shallowRef(startChance(props.play))
const real = ref(false)
const card = ref(1)
const task = computed(() => game.value.drawn?.tasks[0])
const again = computed(() => game.value.drawn !== undefined && !task.value && !game.value.over)
/** Two take turns: whose turn it is. */
const player = computed(() => (props.play.oneByOne ? (game.value.draws % 2) + 1 : undefined))
const faceName = (face: string) => t(`player.faces.${face}`)
const isDone = (row: string) => game.value.done.includes(row)

function onDraw(outcome: DrawOutcome = drawOutcome(game.value, props.play, Math.random)) {
  game.value = drawn(game.value, props.play, outcome)
}
function onDone() {
  game.value = taskDone(game.value, props.play)
  if (game.value.over) emit('finish')
}
const outcomeText = computed(() => {
  const outcome = game.value.drawn?.outcome
  if (!outcome) return ''
  const { face, value = 0 } = outcome
  if (props.play.device === 'toss') return t('player.chance.sides', { left: value, right: tossed - value })
  return props.play.device === 'cards' ? `${faceName(face)} ${value}` : faceName(face)
})
const counts = Array.from({ length: tossed + 1 }, (_, n) => n)
const cardNumbers = Array.from({ length: 13 }, (_, n) => n + 1)
</script>

<template>
  <div class="chance">
    <h2 class="head">{{ heading }} <span class="num quiet" data-testid="digits">{{ digits }}</span></h2>
    <template v-if="task">
      <p class="outcome" aria-live="polite">
        {{ outcomeText }} <template v-if="player">· {{ t('player.chance.turn', { n: player }) }}</template>
      </p>
      <TurnCard
        :turn="task.turn"
        :amount="task.amount"
        :publication="publication"
        :words="words"
        :pace="pace"
        :paused="paused"
      />
      <button type="button" class="main" @click="onDone">{{ t('player.done') }}</button>
    </template>
    <template v-else>
      <div class="table">
        <ol v-for="{ face, turns } in play.table" :key="face">
          <li class="face">{{ faceName(face) }}</li>
          <li v-for="(turn, i) in turns" :key="i" :class="{ over: isDone(`${face}:${i}`) }">
            <span aria-hidden="true">{{ isDone(`${face}:${i}`) ? '☒' : '☐' }}</span>
            {{ turn.story ?? words.names(turn.move, turn.version) }}
          </li>
        </ol>
      </div>
      <p class="outcome" aria-live="polite">{{ again ? t('player.chance.again', { face: outcomeText }) : '' }}</p>
      <div v-if="!real" class="buttons">
        <button type="button" class="main" @click="onDraw()">{{ t(`player.chance.draw.${play.device}`) }}</button>
        <button type="button" @click="real = true">{{ t(`player.chance.real.${play.device}`) }}</button>
      </div>
      <div v-else-if="play.device === 'toss'" class="buttons" role="group" :aria-label="t('player.chance.left')">
        <span>{{ t('player.chance.left') }}</span>
        <button v-for="n in counts" :key="n" type="button" @click="onDraw({ face: 'left', value: n })">{{ n }}</button>
      </div>
      <div v-else class="buttons" role="group" :aria-label="t('player.chance.what')">
        <label v-if="play.device === 'cards'">
          {{ t('player.chance.number') }}
          <select v-model.number="card">
            <option v-for="n in cardNumbers" :key="n" :value="n">{{ n }}</option>
          </select>
        </label>
        <button
          v-for="{ face } in play.table"
          :key="face"
          type="button"
          @click="onDraw(play.device === 'cards' ? { face, value: card } : { face })"
        >
          {{ faceName(face) }}
        </button>
      </div>
    </template>
  </div>
</template>

<style scoped>
.chance {
  flex: 1;
  min-height: 0;
  width: 100%;
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 10px;
}
p,
h2 {
  margin: 0;
}
.head {
  font-size: clamp(20px, 4cqh, 30px);
}
.outcome {
  font: 700 clamp(20px, min(4.5cqh, 7cqw), 34px) / 1.2 var(--display);
}
.table {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  width: 100%;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(128px, 1fr));
  gap: 10px;
  align-content: safe center;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  border: 1.5px solid var(--ink);
  border-radius: var(--corner);
  text-align: left;
}
li {
  font-size: clamp(16px, min(3.6cqh, 4.4cqw), 30px);
  padding: 5px 8px;
  border-top: 1px solid var(--hair);
}
li.face {
  border: 0;
  font: 700 clamp(20px, 4cqh, 34px) / 1.2 var(--display);
  text-align: center;
}
li.over {
  color: var(--quiet);
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  justify-content: center;
  align-items: center;
}
select {
  height: 56px;
  font: 700 20px var(--display);
  padding: 0 10px;
  border: 2px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  color: var(--ink);
}
</style>
