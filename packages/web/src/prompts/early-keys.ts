/**
 * Keys typed between asking for a new prompt and its text being there to take them. A server may take a second to
 * answer, and a writer does not wait: what is typed meanwhile is held, and put into the text when it opens.
 */
let held: string[] | undefined
/** A key that types: its name is what it types. Others have names of several letters. */
const SIGN = /^.$/u

function hold(event: KeyboardEvent): void {
  if (!held || event.ctrlKey || event.metaKey || event.altKey || event.isComposing) return
  if (event.key === 'Backspace') held.pop()
  // The Enter that asked for the prompt may still be down.
  else if (event.key === 'Enter' && !event.repeat && held.length > 0) held.push('\n')
  else if (SIGN.test(event.key)) held.push(event.key)
  else return
  event.preventDefault()
  event.stopPropagation()
}

/** Begins to hold what is typed. */
export function holdKeys(): void {
  if (held) return
  held = []
  window.addEventListener('keydown', hold, { capture: true })
}

/** Ends holding; what was typed meanwhile. */
export function heldKeys(): string {
  window.removeEventListener('keydown', hold, { capture: true })
  const text = held?.join('') ?? ''
  held = undefined
  return text
}
