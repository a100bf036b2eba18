import type { Directive } from 'vue'

/**
 * `v-focus-first` puts the cursor into an element's field, or onto the button it is on, as it is drawn. A field's own `autofocus` may come a moment
 * later and take the cursor away from somebody who has begun to type elsewhere.
 */
export const vFocusFirst: Directive<HTMLElement> = {
  mounted: (element) => (element.querySelector('input') ?? element).focus(),
}
