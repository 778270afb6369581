import type { EngineChoice, Settings, VersionBody } from './shape.ts'
import { nameOfChoice } from './draft.ts'
import type { Mark } from './mark-shape.ts'
import { wordDiff } from './word-diff.ts'

const LONGEST = 48
const clip = (text: string) => {
  const plain = text.replace(/\s+/g, ' ').trim().replace(/^[,;.\s]+|[,;\s]+$/g, '')
  return plain.length > LONGEST ? `${plain.slice(0, LONGEST - 1).trimEnd()}…` : plain
}

function textChanges(before: string, after: string): string[] {
  const lines: string[] = []
  const pieces = wordDiff(before, after)
  for (let i = 0; i < pieces.length; i++) {
    const piece = pieces[i]
    if (!piece || piece.change === 'same') continue
    const next = pieces[i + 1]
    const text = clip(piece.text)
    if (next && next.change !== 'same' && next.change !== piece.change) {
      const [removed, added] = piece.change === 'removed' ? [text, clip(next.text)] : [clip(next.text), text]
      lines.push(removed && added ? `“${removed}” became “${added}”` : removed ? `− ${removed}` : added ? `+ ${added}` : '')
      i++
    } else if (text) lines.push(piece.change === 'added' ? `+ ${text}` : `− ${text}`)
  }
  const said = lines.filter(Boolean)
  return said.length === 0 && before !== after ? ['spacing or punctuation'] : said
}

const LEVELS: Record<number, string> = { [-2]: 'much less', [-1]: 'less', 1: 'more', 2: 'much more' }

function markWords(mark: Mark, text: string, gone: boolean): string {
  const words = `“${clip(text.slice(mark.from, mark.to))}”`
  switch (mark.kind) {
    case 'off':
      return gone ? `${words} back on` : `${words} off`
    case 'emphasis':
      return gone ? `${words} plain` : `${words} ${LEVELS[mark.level] ?? 'plain'}`
    case 'locked':
      return gone ? `${words} unlocked` : `${words} fixed`
    case 'facet':
      return gone ? `${words} facet as read` : `${words} set to ${mark.facet}`
    case 'dismissed':
      return gone ? `check heard again on ${words}` : `check dismissed on ${words}`
    case 'from':
      return gone ? `${words} on its own` : `${words} from a ${mark.source.type}`
  }
}

/** What changed from one version to the next, each change a few words, most telling first. */
export function versionChanges(before: VersionBody, after: VersionBody): string[] {
  const lines = textChanges(before.text, after.text)
  for (const entry of after.leaveOut) if (!before.leaveOut.includes(entry)) lines.push(`leave out ${clip(entry)}`)
  for (const entry of before.leaveOut) if (!after.leaveOut.includes(entry)) lines.push(`no longer leave out ${clip(entry)}`)
  // Marks are compared by their words, so that text typed before them is no change.
  const onWords = (body: VersionBody) =>
    body.marks.map((mark) => ({ mark, key: JSON.stringify([{ ...mark, from: 0, to: 0 }, body.text.slice(mark.from, mark.to)]) }))
  const [old, now] = [onWords(before), onWords(after)]
  const [oldKeys, nowKeys] = [new Set(old.map((m) => m.key)), new Set(now.map((m) => m.key))]
  const added = now.filter((m) => !oldKeys.has(m.key))
  const replaced = new Set(added.map((m) => `${m.mark.kind} ${after.text.slice(m.mark.from, m.mark.to)}`))
  for (const { mark } of added) lines.push(markWords(mark, after.text, false))
  for (const { mark, key } of old) {
    const words = before.text.slice(mark.from, mark.to)
    if (nowKeys.has(key) || replaced.has(`${mark.kind} ${words}`) || !after.text.includes(words)) continue
    lines.push(markWords(mark, before.text, true))
  }
  if (JSON.stringify(before.references) !== JSON.stringify(after.references)) lines.push('references')
  if (lines.length === 0 && before.leaveOut.join() !== after.leaveOut.join()) lines.push('leave-out list in another order')
  return lines
}

const SETTING_WORDS: Record<string, string> = { aspectRatio: 'aspect ratio', count: 'results', guidance: 'guidance', seed: 'seed', steps: 'steps' }

/** What changed in how two runs were asked for: engines, then settings. */
export function runChanges(
  before: { engines: EngineChoice[]; settings: Settings },
  after: { engines: EngineChoice[]; settings: Settings },
): string[] {
  const lines: string[] = []
  const names = (engines: EngineChoice[]) => engines.map(nameOfChoice).join('; ')
  if (names(before.engines) !== names(after.engines)) lines.push(`${names(before.engines) || 'no engine'} to ${names(after.engines) || 'no engine'}`)
  for (const key of new Set([...Object.keys(before.settings), ...Object.keys(after.settings)])) {
    const [a, b] = [before.settings[key], after.settings[key]]
    if (a !== b) lines.push(`${SETTING_WORDS[key] ?? key} ${a ?? 'any'} to ${b ?? 'any'}`)
  }
  return lines
}
