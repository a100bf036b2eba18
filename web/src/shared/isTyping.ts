/** Whether a key goes to something with keys of its own: a field, an open list, a dialog. */
export const isTyping = (target: EventTarget | null): boolean =>
  target instanceof Element &&
  target.closest('input, textarea, select, [contenteditable], [role="dialog"], [role="listbox"]') !== null
