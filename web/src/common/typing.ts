/** Whether somebody is writing or choosing in a field: keys then mean what they say there. */
export function isTyping(event: Event): boolean {
  return event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName)
}

/** Whether a key is meant for us: no field has it, and it is no shortcut of the browser. */
export function isOurs(event: KeyboardEvent): boolean {
  return !isTyping(event) && !event.ctrlKey && !event.metaKey && !event.altKey
}
