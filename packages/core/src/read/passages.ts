import type { TextRange } from '../text-range.ts'
import type { Sequence } from './model/features.ts'

/** Units are read together up to this length, in UTF-16 code units: longer than most prompts, short enough to read again after every key. */
const LONGEST = 1_500
/** A blank line ends a passage of this length, so that a change early in a long text leaves the later passages as they are. */
const ENOUGH = 500
const BLANK_LINE = /\n[^\S\n]*\n/

/** The units of a text in passages, none of them cut. */
export function passagesOf<Unit extends TextRange>(text: string, units: readonly Unit[]): Unit[][] {
  const passages: Unit[][] = []
  let last: Unit[] = []
  for (const unit of units) {
    const before = last.at(-1)
    const length = before ? before.end - last[0]!.start : 0
    const ends = before && (unit.end - last[0]!.start > LONGEST || (length >= ENOUGH && BLANK_LINE.test(text.slice(before.start, unit.start + 1))))
    if (!before || ends) passages.push((last = [unit]))
    else last.push(unit)
  }
  return passages
}

/** The sequences of a passage's units as one. */
export function joined(sequences: readonly Sequence[]): Sequence {
  if (sequences.length === 1) return sequences[0]!
  const steps: Sequence['steps'] = []
  const items: Sequence['items'] = []
  for (const own of sequences) {
    for (const item of own.items) items.push({ ...item, step: item.step + steps.length })
    steps.push(...own.steps)
  }
  return { steps, items }
}
