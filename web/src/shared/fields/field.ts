import type { Component } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'
import { VSwitch } from 'vuetify/components/VSwitch'
import { VTextarea } from 'vuetify/components/VTextarea'
import { cleanText } from '@esfuerzo/core'
import ChoiceField from './ChoiceField.vue'
import NumberField from './NumberField.vue'
import TextField from './TextField.vue'

/** A form field as data: label, value, and what a change does. `FieldList.vue` shows some. */
export interface Field {
  is: Component
  label: string
  value: unknown
  set: (value: never) => void
  /** Other attributes of its component. */
  props: Readonly<Record<string, unknown>>
}

/** A choice with its name. */
export interface Item<V> {
  value: V
  title: string
}

type Set<V> = (value: V) => void
type More = Readonly<Record<string, unknown>>

/** A line of text. @param more for `TextField`: `must`, `tall` */
export const textField = (label: string, value: string, set: Set<string>, more: More = {}): Field => ({
  is: TextField,
  label,
  value,
  set,
  props: more,
})

/** Seconds or another whole number. @param more for `NumberField`: `min`, `max`, `suffix` */
export const numberField = (label: string, value: number, set: Set<number>, more: More = {}): Field => ({
  is: NumberField,
  label,
  value,
  set,
  props: more,
})

/** One of several words, each said under a key of the messages. @param named that key without the word */
export const choiceField = <V extends string | number>(
  label: string,
  options: readonly V[],
  named: string,
  value: V,
  set: Set<V>,
): Field => ({ is: ChoiceField, label, value, set, props: { options, named } })

/** Some of several words. @param least the minimum; a change below it is ignored */
export const choicesField = <V extends string | number>(
  label: string,
  options: readonly V[],
  named: string,
  value: readonly V[],
  set: Set<V[]>,
  least = 1,
): Field => ({
  is: ChoiceField,
  label,
  value,
  set: (chosen: V[]) => chosen.length >= least && set(chosen),
  props: { options, named, multiple: true },
})

/** One of several named things. @param more for the Vuetify select: `clearable` */
export const itemField = <V>(
  label: string,
  items: readonly Item<V>[],
  value: V,
  set: Set<V>,
  more: More = {},
): Field => ({ is: VSelect, label, value, set, props: { items, ...more } })

/** Some of several named things, or none. */
export const itemsField = <V>(
  label: string,
  items: readonly Item<V>[],
  value: readonly V[],
  set: Set<V[]>,
  more: More = {},
): Field => ({ is: VSelect, label, value, set, props: { items, multiple: true, ...more } })

/** On or off. */
export const switchField = (label: string, value: boolean, set: Set<boolean>): Field => ({
  is: VSwitch,
  label,
  value,
  set: (on: boolean | null) => set(on === true),
  props: {},
})

/** Several lines, stored when the field loses the focus: while typing, an empty line starts the next one. */
export const linesField = (label: string, value: readonly string[], set: Set<string[]>): Field => ({
  is: VTextarea,
  label,
  value: value.join('\n'),
  set: () => undefined,
  props: {
    rows: 3,
    onChange: (event: Event) =>
      set(
        (event.target as HTMLTextAreaElement).value
          .split('\n')
          .map((line) => cleanText(line, 'line').trim())
          .filter(Boolean),
      ),
  },
})
