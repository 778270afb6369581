import { useLocalStorage } from '@vueuse/core'
import type { Verdict } from '@idolon/contract'
import { type Fault, FAULTS } from '@idolon/core'

export const VERDICTS: readonly Verdict[] = ['keep', 'maybe', 'drop']

/** Single letters for verdicts: the first letters of the words, until the writer changes them. */
export const verdictKeys = useLocalStorage<Record<Verdict, string>>('idolon.verdict-keys', { keep: 'k', maybe: 'm', drop: 'd' }, { mergeDefaults: true })
/** Single letters for faults; each stands in the word. */
export const faultKeys = useLocalStorage<Record<Fault, string>>('idolon.fault-keys', { 'extra-people': 'e', 'spoiled-lettering': 's', 'wrong-colour': 'c', 'too-small': 't', 'wrong-period': 'p', 'odd-anatomy': 'a', clutter: 'l', other: 'o' }, { mergeDefaults: true })

/** Commands on single letters can be switched off (WCAG 2.1.4). */
export const letterKeys = useLocalStorage('idolon.letter-keys', true)

export interface KeyLine {
  keys: string
  does: string
}

/** Everything that has a key, by where it works. */
export const keyLines = (): { where: string; lines: KeyLine[] }[] => [
  {
    where: 'Everywhere',
    lines: [
      { keys: 'Ctrl K', does: 'Go to a prompt, a view or an action' },
      { keys: '?', does: 'Show these keys' },
      { keys: 'Escape', does: 'Close what is open' },
    ],
  },
  {
    where: 'On the Desk',
    lines: [
      { keys: 'Ctrl Enter', does: 'Try the prompt' },
      { keys: 'Ctrl Z', does: 'Undo, in text, list and settings alike' },
      { keys: 'Ctrl Shift Z', does: 'Redo' },
      { keys: 'F8, Shift F8', does: 'The next finding in the text, the one before' },
      { keys: 'F2', does: 'What the glossary says of the phrase at the caret' },
      { keys: 'Ctrl Space', does: 'Offer phrases and terms; arrows choose, Enter takes' },
      { keys: 'Tab', does: 'Leave the text for what comes after it' },
    ],
  },
  {
    where: 'On a change that a helper proposes',
    lines: [
      { keys: 'Up, Down', does: 'Previous change, next change' },
      { keys: 'A', does: 'Accept it' },
      { keys: 'R', does: 'Reject it' },
    ],
  },
  {
    where: 'In the table of a template',
    lines: [
      { keys: 'Enter', does: 'The same slot in the next row, a new one at the end' },
      { keys: 'Alt Up, Alt Down', does: 'The row above, the row below' },
      { keys: 'Ctrl Enter', does: 'Make the drafts' },
    ],
  },
  {
    where: 'On a scene of a series',
    lines: [
      { keys: 'Up, Down', does: 'Previous scene, next scene' },
      { keys: 'Ctrl Up, Ctrl Down', does: 'Move it earlier, later' },
      { keys: 'D', does: 'Duplicate it' },
      { keys: 'J', does: 'Join it with the next' },
      { keys: 'Delete', does: 'Delete it (to the bin)' },
    ],
  },
  {
    where: 'On a phrase of the outline',
    lines: [
      { keys: 'Arrows', does: 'Previous phrase, next phrase' },
      { keys: 'Enter', does: 'Everything that can be done with it' },
      { keys: 'O', does: 'Switch it off or on' },
      { keys: 'R', does: 'Replace it' },
      { keys: '+, −', does: 'More emphasis, less' },
      { keys: 'L', does: 'Lock it, so that helpers may not change it; unlock it' },
      { keys: 'K', does: 'Keep it for this project, or no longer' },
      { keys: 'G', does: 'What the glossary says of it' },
      { keys: 'T', does: 'Make it a slot of a template' },
      { keys: 'S', does: 'Split it' },
      { keys: 'J', does: 'Join it with the next' },
      { keys: 'Ctrl Left, Right', does: 'Move it earlier, later' },
      { keys: 'W', does: 'Rephrase it, with a helper' },
      { keys: 'Delete', does: 'Remove it' },
      { keys: 'Escape', does: 'Back to the text' },
    ],
  },
  {
    where: 'On a finding',
    lines: [
      { keys: 'Up, Down', does: 'Previous finding, next finding' },
      { keys: 'Enter', does: 'Show it in the text' },
      { keys: 'F', does: 'Fix it' },
      { keys: 'D', does: 'Dismiss it, with a reason' },
    ],
  },
  {
    where: 'On a picture',
    lines: [
      { keys: verdictKeys.value.keep.toUpperCase(), does: 'Keep (again: no verdict)' },
      { keys: verdictKeys.value.maybe.toUpperCase(), does: 'Maybe' },
      { keys: verdictKeys.value.drop.toUpperCase(), does: 'Drop' },
      ...(Object.keys(FAULTS) as Fault[]).map((fault) => ({ keys: faultKeys.value[fault].toUpperCase(), does: `Fault: ${FAULTS[fault]} (again: not)` })),
      { keys: 'N', does: 'Write a note' },
      { keys: 'Delete', does: 'Delete it (to the bin)' },
      { keys: 'Left, Right', does: 'Previous picture, next picture' },
      { keys: 'Enter', does: 'Open it large' },
      { keys: '+, −, 0', does: 'Zoom in, zoom out, fit (in the large view)' },
    ],
  },
]

/** The verdict a key press on a picture asks for, if any. */
export const verdictFor = (event: KeyboardEvent): Verdict | undefined => named(event, verdictKeys.value)
/** The fault a key press on a picture speaks of, if any. */
export const faultFor = (event: KeyboardEvent): Fault | undefined => named(event, faultKeys.value)

/** Whether a key press is that letter, where letters are commands. */
export const isLetter = (event: KeyboardEvent, letter: string): boolean => letterKeys.value && !event.ctrlKey && !event.metaKey && !event.altKey && event.key.toLowerCase() === letter

function named<T extends string>(event: KeyboardEvent, keys: Record<T, string>): T | undefined {
  return (Object.keys(keys) as T[]).find((name) => isLetter(event, keys[name]))
}
