import { useTitle } from '@vueuse/core'

/**
 * Names the browser's tab and history entry after the page.
 *
 * @param name of the open document; undefined until it is loaded
 * @example usePageTitle(() => 'Gale warning') // the tab says “Gale warning – Esfuerzo”
 */
export const usePageTitle = (name: () => string | undefined): void =>
  void useTitle(() => [name(), 'Esfuerzo'].filter(Boolean).join(' – '), {
    // The next page has named itself before this one is gone.
    restoreOnUnmount: false,
  })
