import type { Draft, Settings } from '../draft/shape.ts'
import type { Edit } from '../draft/edit-shape.ts'
import { editBetween } from '../draft/edit.ts'
import { changeText, mapMarks, type TextChange } from '../draft/text-change.ts'
import { findSettings, settingOf } from '../read/noise/setting.ts'
import { entriesOf, findLeaveOuts } from '../read/noise/leave-out.ts'
import type { Noise, Reading } from '../read/reading.ts'
import { removePhrase } from './remove.ts'
import type { TextRange } from '../text-range.ts'

/** Something in a text that is no part of the picture, and where it belongs. */
export interface TidyStep extends TextRange {
  kind: Exclude<Noise['kind'], 'label'>
  text: string
  /** What goes to the settings' fields. */
  settings: Settings
  /** What goes to the leave-out list. */
  leaveOut: string[]
}

/** The settings of a range: typed in one go, or a label with its value. */
function settingsIn(said: string): Settings {
  const found = findSettings(said)
  if (found.length) return Object.assign({}, ...found.map(({ settings }) => settings)) as Settings
  const field = /^\W*([\p{L}][\p{L}\p{N} _-]*?)["']?\s*[:=]\s*(.+?)\s*$/su.exec(said)
  return (field && settingOf(field[1]!, field[2]!, true)) ?? {}
}

/** What could be tidied, in the order of the text. JSON is left whole, since its parts mean something where they are. */
export function tidySteps(text: string, { noise }: Pick<Reading, 'noise'>): TidyStep[] {
  if (/^\s*[{[]/.test(text)) return []
  const steps: TidyStep[] = []
  noise.forEach((one, i) => {
    const { kind, end } = one
    if (kind === 'label') return
    const said = text.slice(one.start, end)
    const before = noise[i - 1]
    // The heading of a leave-out list goes with it.
    const start = kind === 'leave-out' && before?.kind === 'label' && !text.slice(before.end, one.start).trim() ? before.start : one.start
    const found = kind === 'leave-out' ? findLeaveOuts(said).flatMap(({ entries }) => entries) : []
    steps.push({ start, end, kind, text: text.slice(start, end).trim(), settings: kind === 'setting' ? settingsIn(said) : {}, leaveOut: kind === 'leave-out' && found.length === 0 ? entriesOf(said) : found })
  })
  return steps
}

/** Text as letters that know where they stood, so that many removals one after another come out as one list of changes. */
function removeAll(text: string, ranges: readonly TextRange[]): TextChange[] {
  let letters = text.split('').map((letter, at) => ({ letter, at }))
  for (const range of [...ranges].sort((a, b) => b.start - a.start)) {
    const start = letters.findIndex(({ at }) => at >= range.start)
    const after = letters.findIndex(({ at }) => at >= range.end)
    if (start < 0) continue
    const now = letters.map(({ letter }) => letter).join('')
    for (const { from, to, insert } of removePhrase(now, { start, end: after < 0 ? letters.length : after })) {
      const kept = insert ? [{ letter: insert, at: letters[to - 1]!.at }] : []
      letters = [...letters.slice(0, from), ...kept, ...letters.slice(to)]
    }
  }
  // Separators that nothing stands before or after any more.
  const whole = letters.map(({ letter }) => letter).join('')
  const lead = /^[\s,;|]*/.exec(whole)?.[0].length ?? 0
  const tail = /[\s,;|]*$/.exec(whole.slice(lead))?.[0].length ?? 0
  letters = letters.slice(lead, letters.length - tail)
  const changes: TextChange[] = []
  let at = 0
  for (const { letter, at: was } of [...letters, { letter: '', at: text.length }]) {
    const replaced = was < text.length && text[was] !== letter
    if (was > at || replaced) changes.push({ from: at, to: replaced ? was + 1 : was, insert: replaced ? letter : '' })
    at = was + 1
  }
  return changes
}

/** The one edit that takes steps out of the text and puts what they say where it belongs; a setting typed into the text replaces the field's. */
export function tidy(draft: Draft, steps: readonly TidyStep[]): Edit {
  const changes = removeAll(draft.text, steps)
  const known = new Set(draft.leaveOut.map((entry) => entry.toLowerCase()))
  const entries = steps.flatMap(({ leaveOut }) => leaveOut).filter((entry) => !known.has(entry.toLowerCase()) && known.add(entry.toLowerCase()))
  const settings = Object.assign({}, draft.settings, ...steps.map((step) => step.settings)) as Settings
  const after: Draft = { ...draft, text: changeText(draft.text, changes), marks: mapMarks(draft.marks, changes), leaveOut: [...draft.leaveOut, ...entries], settings }
  return editBetween(draft, after, changes)
}
