/** Whether a key goes into something that has keys of its own: a field, a list that is open, a dialog. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof Element &&
  target.closest('input, textarea, select, [contenteditable], [role="dialog"], [role="listbox"]') !== null
