import type { Component } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'
import { VSwitch } from 'vuetify/components/VSwitch'
import { VTextarea } from 'vuetify/components/VTextarea'
import { cleanText } from '@esfuerzo/core'
import ChoiceField from './ChoiceField.vue'
import NumberField from './NumberField.vue'
import TextField from './TextField.vue'

/** A field of a form as data: what it is called, what it holds, what a change of it does. `FieldList.vue` shows some of them. */
export interface Field {
  is: Component
  label: string
  value: unknown
  set: (value: never) => void
  /** What its component is told besides. */
  props: Readonly<Record<string, unknown>>
}

/** A choice with its name. */
export interface Item<V> {
  value: V
  title: string
}

type Set<V> = (value: V) => void
type More = Readonly<Record<string, unknown>>

/** A line of words. @param more as `TextField` is told: `must`, `tall` */
export const textField = (label: string, value: string, set: Set<string>, more: More = {}): Field => ({
  is: TextField,
  label,
  value,
  set,
  props: more,
})

/** Seconds, or another whole number. @param more as `NumberField` is told: `min`, `max`, `suffix` */
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

/** Some of several words. @param least so many; with fewer left nothing changes */
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

/** One of several things that have names of their own. @param more as a Vuetify select is told: `clearable` */
export const itemField = <V>(
  label: string,
  items: readonly Item<V>[],
  value: V,
  set: Set<V>,
  more: More = {},
): Field => ({ is: VSelect, label, value, set, props: { items, ...more } })

/** Some of several things that have names of their own, or none. */
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

/** Several lines, taken when the field is left: while it is typed in, an empty line is the beginning of the next. */
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
