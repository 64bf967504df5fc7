/** Whether a key press belongs to a field, a dialog or a shortcut of the browser, and so is none of ours. */
export function typingNow(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null
  return (
    event.ctrlKey ||
    event.metaKey ||
    event.altKey ||
    !!target?.closest('input, textarea, select, [contenteditable], .v-overlay, [role="combobox"]')
  )
}
