import type { Difference } from '@idolon/core'

const SETTING: Record<string, string> = { aspectRatio: 'aspect ratio', count: 'results' }
const KINDS: Partial<Record<Difference['kind'], string>> = { 'leave-out': 'leave out', engine: 'engine', reference: 'reference', small: 'no change of the picture' }
/** A setting's key as people say it; long texts are cut, the whole of them is a tooltip's. */
const said = (text = '') => text.replace(/^(\w+)(?= )/, (key) => SETTING[key] ?? key)

/** How an engine that is named by its id is called. */
export type Naming = (said: string) => string

/** One difference in a few words: “+ low angle”, “guidance 3 → guidance 9”, “− leave out: people”. */
export function sayDifference({ kind, change, a, b }: Difference, engineName: Naming = (said) => said): string {
  const name = KINDS[kind]
  const lead = name ? `${name}: ` : ''
  const say = kind === 'setting' || kind === 'seed' ? said : kind === 'engine' ? (text = '') => engineName(text) : (text = '') => text
  const [x, y] = [say(a), say(b)]
  if (change === 'added') return `+ ${lead}${y}`
  if (change === 'removed') return `− ${lead}${x}`
  if (change === 'moved') return `${lead}${y || x}, moved`
  return `${lead}${x || 'nothing'} → ${y || 'nothing'}`
}
