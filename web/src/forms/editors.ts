import type { Component } from 'vue'
import { type Form } from '@esfuerzo/core'
import ChanceEditor from './chance/ChanceEditor.vue'
import FactFields from './FactFields.vue'
import GameEditor from './game/GameEditor.vue'
import IntervalsEditor from './intervals/IntervalsEditor.vue'
import LadderEditor from './ladder/LadderEditor.vue'
import MeasureEditor from './measure/MeasureEditor.vue'
import QuizEditor from './quiz/QuizEditor.vue'
import TalkEditor from './talk/TalkEditor.vue'

/** The editor of each form. A form whose line says everything is edited by its facts. */
export const formEditors: Record<Form, Component> = {
  talk: TalkEditor,
  list: FactFields,
  intervals: IntervalsEditor,
  rounds: FactFields,
  sets: FactFields,
  relay: FactFields,
  amrap: FactFields,
  ladder: LadderEditor,
  chance: ChanceEditor,
  calls: FactFields,
  sums: FactFields,
  levels: FactFields,
  target: FactFields,
  game: GameEditor,
  measure: MeasureEditor,
  quiz: QuizEditor,
}
