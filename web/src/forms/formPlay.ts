import type { Component } from 'vue'
import { type Play } from '@esfuerzo/core/publication'
import { type PlayedStep } from '@esfuerzo/core/run'

/** A form's own screen in the player. */
export interface FormPlay {
  component: Component
  /** Instead of figure and digits, or over the figure. */
  whole: boolean
  shows: (step: PlayedStep, play: Play | undefined) => boolean
}
