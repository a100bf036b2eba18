<script setup lang="ts">
import { computed, ref } from 'vue'
import { useSentences } from '../../shared/sentences.ts'
import { type PlayOf } from '@esfuerzo/core/publication'
import type { FormScreen } from '../formScreen.ts'

/** One question with its answers; after any tap, the right one is shown and explained. */
const props = defineProps<FormScreen<PlayOf<'quiz'>>>()
const emit = defineEmits<{ finish: [] }>()
const { t } = useSentences()
const n = (props.step.say.params.n as number | undefined) ?? 1
const question = computed(() => props.play.questions[n - 1])
const tapped = ref<number>()
const answered = computed(() => tapped.value !== undefined)
</script>

<template>
  <div v-if="question" class="quiz">
    <p class="quiet">
      {{ t('player.quiz.of', { n, of: play.questions.length }) }}
      <span class="out-of-sight" data-testid="digits">{{ n }}</span>
    </p>
    <h2>{{ question.ask }}</h2>
    <div class="answers">
      <button
        v-for="(answer, i) in question.answers"
        :key="i"
        type="button"
        :disabled="answered"
        :class="{ right: answered && i === question.right, tapped: i === tapped }"
        @click="tapped = i"
      >
        {{ answer }} <template v-if="answered && i === question.right">✓</template>
      </button>
    </div>
    <p class="why" aria-live="polite">
      <template v-if="answered">
        {{
          tapped === question.right
            ? t('player.quiz.right')
            : t('player.quiz.it', { answer: question.answers[question.right] })
        }}
        {{ question.why }}
      </template>
    </p>
    <button type="button" class="main" :disabled="!answered" @click="emit('finish')">
      {{ t('player.quiz.next') }}
    </button>
  </div>
</template>

<style scoped>
.quiz {
  flex: 1;
  min-height: 0;
  width: 100%;
  max-width: 640px;
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: space-evenly;
  gap: 10px;
}
p,
h2 {
  margin: 0;
}
h2 {
  font-size: clamp(24px, 5.6cqh, 40px);
}
.answers {
  display: grid;
  gap: 10px;
  width: 100%;
}
.answers button {
  opacity: 1;
  font-size: 20px;
}
.answers .right {
  border: 3px solid var(--action);
  font-weight: 700;
}
.why {
  min-height: 3em;
  font-size: clamp(18px, 3.3cqh, 24px);
}
</style>
