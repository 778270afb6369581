import type { WordTable } from '../../read/words/word-table.ts'
import { beingWorth } from './beings.ts'
import { ADJ, ADP, ADV, AUX, DET, NOUN, PART, PRON, PROPN, VERB } from '../../read/parts-of-speech.ts'
import type { Word } from '../../structure/word.ts'

/** Those who do something, in the plural. */
const MANY = /[^s]s$|(?:people|men|children|folk)$/
/** Past forms that are nouns as well, or are taken for one. */
const LIT = /^(?:lit|cut|put|set|hit|shut|read|fed|led|dug|won|ran|held|sold|lost|paid|met|left|felt|built|bent|kept|swept|spread|bet|shot|spun|fought|sought|bound|found|ground|wound|saw|drew|threw)$/
const DETERMINES = /^(?:an?|the|his|her|its|their|my|our|one|every|each|old|young)$/
const FOLLOWS = new Set([DET, PRON, ADP, ADV, PROPN, PART])

/** Plain forms that a verb in -s, -ed or -es may have. */
const plainForms = (lower: string): string[] => {
  const list: string[] = []
  if (lower.endsWith('ies')) list.push(`${lower.slice(0, -3)}y`)
  if (lower.endsWith('es')) list.push(lower.slice(0, -2))
  if (lower.endsWith('s')) list.push(lower.slice(0, -1))
  if (lower.endsWith('ied')) list.push(`${lower.slice(0, -3)}y`)
  if (lower.endsWith('ed')) list.push(lower.slice(0, -2), lower.slice(0, -1), lower.slice(0, -3))
  return list
}
const isVerb = (lower: string, words: WordTable) => plainForms(lower).some((form) => form.length > 1 && ((words.find(form)?.classes ?? 0) & 2) > 0)

/** Whether the clause has had its verb before a token. */
function verbSince(tokens: readonly Word[], before: number): boolean {
  for (let k = before - 1; k >= 0 && tokens[k]!.kind !== 'mark'; k--) if (tokens[k]!.tag === VERB || tokens[k]!.tag === AUX) return true
  return false
}

/**
 * Mends what the tagger most often mistakes in tales: a verb in the present after its subject, taken for a plural noun
 * (“a runner ties her laces”, “Arden kneels and counts”). Changes the tokens it is given.
 */
export function retag(tokens: Word[], words: WordTable): void {
  tokens.forEach((token, i) => {
    // “the spectators clap to keep warm”
    if (token.tag === NOUN && !token.lower.endsWith('s') && tokens[i - 1]?.tag === NOUN && MANY.test(tokens[i - 1]!.lower) && ((words.find(token.lower)?.classes ?? 0) & 2) > 0 && ([DET, PRON, PART].includes(tokens[i + 1]?.tag ?? 0) || (tokens[i + 1]?.tag === NOUN && !tokens.some(({ tag }) => tag === VERB || tag === AUX)) || (tokens[i + 1]?.tag === ADP && !verbSince(tokens, i)))) {
      token.tag = VERB
      return
    }
    // “Villagers lit fires”
    if (i === 1 && token.tag === NOUN && LIT.test(token.lower) && MANY.test(tokens[0]!.lower) && beingWorth(tokens[0]!.lower, words) >= 0.8) {
      token.tag = VERB
      if (tokens[2]?.tag === VERB && /s$/.test(tokens[2].lower)) tokens[2].tag = NOUN
      return
    }
    // “Park the bicycle”, “In a bowl, mix the clay”: an order begins with a plain verb and what is to be done to.
    const opens = i === 0 || (i < 12 && tokens[i - 1]!.text === ',' && !tokens.slice(0, i).some(({ tag }) => tag === VERB || tag === AUX))
    if (opens && (token.tag === NOUN || token.tag === PROPN || token.tag === ADJ) && !/(?:s|ed|ing)$/.test(token.lower) && /^(?:the|an?|your|it|them|all|each|every)$/.test(tokens[i + 1]?.lower ?? '') && ((words.find(token.lower)?.classes ?? 0) & 2) > 0) {
      token.tag = VERB
      return
    }
    // “her colleagues yawn.”: the last word of a clause that has no verb yet, after those who do it.
    if (token.tag === NOUN && !/s$/.test(token.lower) && /^[.,;!?]$/.test(tokens[i + 1]?.text ?? '') && MANY.test(tokens[i - 1]?.lower ?? '') && beingWorth(tokens[i - 1]!.lower, words) >= 0.8 && ((words.find(token.lower)?.classes ?? 0) & 2) > 0 && !verbSince(tokens, i)) {
      token.tag = VERB
      return
    }
    // “On Monday morning doctors removed a whistle”: those who are nothing but somebody are no verb.
    if ((token.tag === VERB || token.tag === NOUN) && /[^s]s$/.test(token.lower) && /^\p{Ll}/u.test(token.text) && beingWorth(token.lower, words) >= 0.8 && words.find(token.lower.slice(0, -1))?.main === 0 && (words.find(token.lower.slice(0, -1))?.noun1 ?? 0) === 18 && [NOUN, PROPN, ADJ].includes(tokens[i - 1]?.tag ?? 0) && tokens.slice(i + 1).some(({ tag }) => tag === VERB || tag === AUX)) {
      token.tag = NOUN
      return
    }
    if (token.kind !== 'word' || !/(?:[^s]s|ed)$/.test(token.lower) || /['’]/.test(token.lower) || !/^\p{Ll}/u.test(token.text)) return
    const before = tokens[i - 1]
    const after = tokens[i + 1]
    if (token.tag !== NOUN && token.tag !== PROPN && !(token.tag === ADJ && token.lower.endsWith('ed') && before?.tag === PROPN)) return
    if (before?.tag === PROPN && token.lower.endsWith('ed') && after?.tag === DET) {
      token.tag = VERB
      return
    }
    if (!before || before.kind !== 'word' || !isVerb(token.lower, words)) return
    // “A mechanic wipes her hands”: somebody is no adjective.
    const someone = /[^s]$/.test(before.lower) && beingWorth(before.lower, words) >= 0.8 && !verbSince(tokens, i)
    if (someone && before.tag === ADJ && DETERMINES.test(tokens[i - 2]?.lower ?? '')) before.tag = NOUN
    if (someone && before.tag === NOUN && (after?.tag === NOUN || after?.tag === ADJ || FOLLOWS.has(after?.tag ?? 0))) {
      token.tag = VERB
      return
    }
    const subject = (before.tag === NOUN || before.tag === PROPN || before.tag === PRON) && !/['’]s$|['’]$/.test(before.lower)
    if (!subject && !(before.lower === 'and' && tokens[i - 2]?.tag === VERB)) return
    // Of two verbs joined, the first is a verb where the second is: “coughs, catches and runs”.
    const follows = !after || (token.lower.endsWith('ed') && before.tag !== ADJ) || after.kind === 'mark' || FOLLOWS.has(after.tag) || after.lower === 'and' || (after.tag === ADJ && /^(?:still|aloud|alone|open|shut|silent|awake)$/.test(after.lower))
    const single = !/[^s]s$/.test(before.lower) || before.tag === PROPN
    const clause = tokens.slice(0, i).some(({ tag, quoted }) => (tag === VERB || tag === AUX) && quoted === token.quoted)
    if (follows && (single || token.lower.endsWith('ed')) && !(clause && after?.kind === 'mark' && after.text !== '.' && after.text !== ',')) token.tag = VERB
  })
}
