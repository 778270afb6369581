import type { Verdict } from '@idolon/contract'
import { type Fault, FAULTS } from '@idolon/core'
import { faultKeys, letterKeys, verdictKeys, VERDICTS } from './letters.ts'

/** A command and its keys, each written as it is shown: “Ctrl Shift Z”, “F8”, “Left”, “K”. */
interface Command {
  keys: readonly string[]
  does: string
}
const context = <Name extends string>(where: string, commands: Readonly<Record<Name, Command>>) => ({ where, commands })

/** Everything that has a key, by where it works. Handlers, the list under “?” and tooltips all read this one map. */
export const KEY_MAP = {
  everywhere: context('Everywhere', {
    goTo: { keys: ['Ctrl K'], does: 'Go to a prompt, a view or an action' },
    keys: { keys: ['?'], does: 'Show these keys' },
    close: { keys: ['Escape'], does: 'Close what is open' },
  }),
  desk: context('On the Desk', {
    tryIt: { keys: ['Ctrl Enter'], does: 'Try the prompt' },
    undo: { keys: ['Ctrl Z'], does: 'Undo, in text, list and settings alike' },
    redo: { keys: ['Ctrl Shift Z'], does: 'Redo' },
    nextFinding: { keys: ['F8'], does: 'The next finding in the text' },
    previousFinding: { keys: ['Shift F8'], does: 'The previous finding' },
    fixFinding: { keys: ['Alt F8'], does: 'Fix the finding it went to' },
    entry: { keys: ['F2'], does: 'What the glossary says of the phrase at the caret' },
  }),
  text: context('In the text', {
    offer: { keys: ['Ctrl Space'], does: 'Offer phrases and terms; arrows choose, Enter takes' },
    leave: { keys: ['Tab'], does: 'Leave the text for what comes after it' },
  }),
  proposal: context('On a change that a helper proposes', {
    previous: { keys: ['Up'], does: 'Previous change' },
    next: { keys: ['Down'], does: 'Next change' },
    accept: { keys: ['A'], does: 'Accept it' },
    reject: { keys: ['R'], does: 'Reject it' },
  }),
  values: context('In the table of a template', {
    next: { keys: ['Enter', 'Alt Down'], does: 'The same slot in the next row, a new one at the end' },
    previous: { keys: ['Alt Up'], does: 'The same slot in the row above' },
    make: { keys: ['Ctrl Enter'], does: 'Make the drafts' },
  }),
  scene: context('On a scene of a series', {
    previous: { keys: ['Up'], does: 'Previous scene' },
    next: { keys: ['Down'], does: 'Next scene' },
    earlier: { keys: ['Ctrl Up'], does: 'Move it earlier' },
    later: { keys: ['Ctrl Down'], does: 'Move it later' },
    duplicate: { keys: ['D'], does: 'Duplicate it' },
    join: { keys: ['J'], does: 'Join it with the next' },
    remove: { keys: ['Delete'], does: 'Delete it (to the bin)' },
  }),
  phrase: context('On a phrase of the outline', {
    previous: { keys: ['Left', 'Up'], does: 'Previous phrase' },
    next: { keys: ['Right', 'Down'], does: 'Next phrase' },
    earlier: { keys: ['Ctrl Left', 'Ctrl Up'], does: 'Move it earlier' },
    later: { keys: ['Ctrl Right', 'Ctrl Down'], does: 'Move it later' },
    menu: { keys: ['Enter'], does: 'Everything that can be done with it' },
    off: { keys: ['O'], does: 'Switch it off or on' },
    replace: { keys: ['R'], does: 'Replace it' },
    more: { keys: ['+'], does: 'More emphasis' },
    less: { keys: ['-'], does: 'Less emphasis' },
    lock: { keys: ['L'], does: 'Lock it, so that helpers may not change it; unlock it' },
    keep: { keys: ['K'], does: 'Keep it for this project, or no longer' },
    entry: { keys: ['G'], does: 'What the glossary says of it' },
    slot: { keys: ['T'], does: 'Make it a slot of a template' },
    split: { keys: ['S'], does: 'Split it' },
    join: { keys: ['J'], does: 'Join it with the next' },
    rephrase: { keys: ['W'], does: 'Rephrase it, with a helper' },
    remove: { keys: ['Delete', 'Backspace'], does: 'Remove it' },
    text: { keys: ['Escape'], does: 'Back to the text' },
  }),
  finding: context('On a finding', {
    previous: { keys: ['Up'], does: 'Previous finding' },
    next: { keys: ['Down'], does: 'Next finding' },
    show: { keys: ['Enter'], does: 'Show it in the text' },
    fix: { keys: ['F'], does: 'Fix it' },
    dismiss: { keys: ['D'], does: 'Dismiss it, with a reason' },
  }),
  picture: context('On a picture', {
    previous: { keys: ['Left'], does: 'Previous picture' },
    next: { keys: ['Right'], does: 'Next picture' },
    open: { keys: ['Enter'], does: 'Open it large' },
    note: { keys: ['N'], does: 'Write a note' },
    remove: { keys: ['Delete'], does: 'Delete it (to the bin)' },
  }),
  large: context('On a large picture', {
    mark: { keys: ['W'], does: 'Mark where the last fault is' },
    zoomIn: { keys: ['+'], does: 'Zoom in' },
    zoomOut: { keys: ['-'], does: 'Zoom out' },
    fit: { keys: ['0'], does: 'Fit' },
    flip: { keys: ['F'], does: 'Of two: one on the other, to flip between them' },
    turn: { keys: ['Space'], does: 'Flip' },
  }),
  sheet: context('On a proof sheet', {
    select: { keys: ['Space'], does: 'Select the picture; Shift and arrows select more' },
    all: { keys: ['Ctrl A'], does: 'Select all' },
    none: { keys: ['Escape'], does: 'Select none' },
  }),
  judging: context('Judging blind', {
    left: { keys: ['Left', 'L'], does: 'The left one' },
    right: { keys: ['Right', 'R'], does: 'The right one' },
    neither: { keys: ['Down', 'C'], does: 'Cannot tell' },
    undo: { keys: ['Ctrl Z', 'Backspace'], does: 'Undo the last answer' },
    leave: { keys: ['Escape'], does: 'Leave; what was answered is kept' },
  }),
  played: context('A series played', {
    pause: { keys: ['Space'], does: 'Play, pause' },
    next: { keys: ['Right'], does: 'Next scene' },
    previous: { keys: ['Left'], does: 'Previous scene' },
    start: { keys: ['Home'], does: 'From the start' },
  }),
} as const
export type KeyContext = keyof typeof KEY_MAP
export type CommandOf<Context extends KeyContext> = keyof (typeof KEY_MAP)[Context]['commands'] & string

const NAMED: Readonly<Record<string, string>> = { Left: 'ArrowLeft', Right: 'ArrowRight', Up: 'ArrowUp', Down: 'ArrowDown', Space: ' ' }
/** Keys that give another sign with Shift or beside it on some boards. */
const ALIKE: Readonly<Record<string, string>> = { '=': '+', '−': '-' }
type Pressed = Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'shiftKey'>

/** Whether an event is this key. A bare letter or sign counts only while letters are commands; Shift matters only beside named keys. */
export function isKey(event: Pressed, written: string): boolean {
  const parts = written.split(' ')
  const key = parts.at(-1)!
  const wants = (modifier: string) => parts.includes(modifier)
  if ((event.ctrlKey || event.metaKey) !== wants('Ctrl') || event.altKey !== wants('Alt')) return false
  const isSign = key.length === 1
  if (isSign && parts.length === 1 && key !== '?' && !letterKeys.value) return false
  if ((!isSign || wants('Ctrl')) && event.shiftKey !== wants('Shift')) return false
  const given = ALIKE[event.key] ?? event.key
  return isSign ? given.toLowerCase() === key.toLowerCase() : given === (NAMED[key] ?? key)
}

/** The command that a key press asks for in a place, if any. */
export function pressed<Context extends KeyContext>(context: Context, event: Pressed): CommandOf<Context> | undefined {
  const commands = Object.entries(KEY_MAP[context].commands) as [CommandOf<Context>, Command][]
  return commands.find(([, { keys }]) => keys.some((key) => isKey(event, key)))?.[0]
}

/** A command's keys as they are shown, for a tooltip: “F8”. */
export const keysOf = <Context extends KeyContext>(context: Context, command: CommandOf<Context>): string => (KEY_MAP[context].commands as Record<string, Command>)[command]!.keys.join(' or ')

/** The list under “?”: every command with its keys, verdicts and faults with the letters the writer gave them. */
export const keyLines = (): { where: string; lines: { keys: string; does: string }[] }[] =>
  (Object.keys(KEY_MAP) as KeyContext[]).map((name) => {
    const { where, commands } = KEY_MAP[name]
    const lines = Object.values(commands as Record<string, Command>).map(({ keys, does }) => ({ keys: keys.join(', '), does }))
    const letters = name === 'picture' ? [
      ...VERDICTS.map((verdict) => ({ keys: verdictKeys.value[verdict].toUpperCase(), does: `${verdict.charAt(0).toUpperCase()}${verdict.slice(1)} (again: no verdict)` })),
      ...(Object.keys(FAULTS) as Fault[]).map((fault) => ({ keys: faultKeys.value[fault].toUpperCase(), does: `Fault: ${FAULTS[fault]} (again: not)` })),
    ] : []
    return { where, lines: [...lines, ...letters] }
  })

function named<T extends string>(event: Pressed, keys: Record<T, string>): T | undefined {
  return (Object.keys(keys) as T[]).find((name) => isKey(event, keys[name].toUpperCase()))
}
/** The verdict a key press on a picture asks for, if any. */
export const verdictFor = (event: Pressed): Verdict | undefined => named(event, verdictKeys.value)
/** The fault a key press on a picture speaks of, if any. */
export const faultFor = (event: Pressed): Fault | undefined => named(event, faultKeys.value)
