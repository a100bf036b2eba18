import type { Component } from 'vue'
import { type Play } from '@esfuerzo/core/publication'
import { type PlayedStep } from '@esfuerzo/core/run'

/** A screen of a form's own in the player. */
export interface FormPlay {
  component: Component
  /** In place of figure and digits, or over the figure. */
  whole: boolean
  shows: (step: PlayedStep, play: Play | undefined) => boolean
}
