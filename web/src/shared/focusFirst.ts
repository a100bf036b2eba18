import type { Directive } from 'vue'

/**
 * `v-focus-first` focuses an element's field, or the button it is on, when it is rendered. A field's own `autofocus` may come a moment
 * later and take the focus from somebody who is already typing elsewhere.
 */
export const vFocusFirst: Directive<HTMLElement> = {
  mounted: (element) => (element.querySelector('input') ?? element).focus(),
}
