import type { WordTable } from '../read/words/word-table.ts'

const VERB = 2
const NOUN_OF_THE_BODY = 8
/** Forms that no rule leads back to their verb, as they stand in prompts: the present of the commonest verbs. */
const PRESENT: Record<string, string> = { is: 'be', are: 'be', has: 'have', does: 'do', goes: 'go' }
/** One syllable, one short vowel, one consonant: the consonant is doubled before an ending. */
const DOUBLES = /^[^aeiou]*[aeiou][bdgklmnprtvz]$/
/** Longer verbs whose last syllable is stressed, and doubles. */
const DOUBLES_TOO = /(?:begin|forget|admit|permit|submit|commit|occur|refer|prefer|regret|unwrap|unzip|equip|upset|handcuff|patrol|control|propel|compel|rebel)$/

/** A verb's -ing form from its plain form. */
export function ingOf(verb: string): string {
  if (verb === 'be') return 'being'
  if (/ie$/.test(verb)) return `${verb.slice(0, -2)}ying`
  if (/[^eoy]e$/.test(verb) && verb !== 'singe') return `${verb.slice(0, -1)}ing`
  return DOUBLES.test(verb) || DOUBLES_TOO.test(verb) ? `${verb + verb.slice(-1)}ing` : `${verb}ing`
}

/** A verb's form for he, she or it, from its plain form. */
export function thirdPersonOf(verb: string): string {
  const known = Object.entries(PRESENT).find(([, plain]) => plain === verb && verb !== 'be')
  if (known) return known[0]
  if (/(?:s|x|z|ch|sh)$/.test(verb)) return `${verb}es`
  return /[^aeiou]y$/.test(verb) ? `${verb.slice(0, -1)}ies` : `${verb}s`
}

/** Words that begin an object or a place, so that the word before them is a verb. */
const AFTER_A_VERB = /^(?:an?|the|its?|his|her|their|our|my|your|this|that|these|those|some|him|them|itself|himself|herself|themselves|up|down|out|off|over|above|below|beyond|between|among|near|away|back|together|in|on|at|into|onto|to|towards?|through|across|along|around|past|behind|under|beside|from|with|by|against)$/i

/**
 * The plain form of the present-tense verb that opens a stretch of words: “throws a vase”, “chase the ball”.
 * Undefined when it opens with anything else: a participle, a noun, a part of the body (“arms folded”).
 */
export function openingVerb(said: string, words: WordTable): { word: string; plain: string } | undefined {
  const match = /^(?:\p{Ll}+ly\s+)?(\p{L}+)(?:\s+(\S+))?/u.exec(said)
  const word = match?.[1] ?? ''
  const lower = word.toLowerCase()
  if (PRESENT[lower]) return { word, plain: PRESENT[lower] }
  if (/(?:ing|ed)$/.test(lower)) return undefined
  const facts = words.find(lower)
  if (!facts || (facts.classes & VERB) === 0 || facts.noun1 === NOUN_OF_THE_BODY) return undefined
  // Seen as a verb most often, or as either and followed like a verb.
  if (facts.main !== 1 && !AFTER_A_VERB.test(match?.[2] ?? '')) return undefined
  return { word, plain: plainOf(lower, words) }
}

/** Whether a word may follow a verb or participle rather than a noun. */
export const followsVerb = (word: string): boolean => AFTER_A_VERB.test(word)

/** The verb of a clause within a stretch of words, which its noun agrees with: “circle” in “gulls circle above him”. */
export function clauseVerb(said: string, words: WordTable): { at: number; word: string; plain: string } | undefined {
  const list = [...said.matchAll(/\p{L}+/gu)]
  for (let i = 1; i < Math.min(list.length, 5); i++) {
    const { index } = list[i]!
    const found = openingVerb(said.slice(index), words)
    const noun = list[i - 1]![0].toLowerCase()
    // After a participle stands what it describes: “glowing bees” is no clause.
    if (!found || found.word !== list[i]![0] || /(?:ing|ed)$/.test(noun) || ((words.find(noun)?.classes ?? 0) & 1) === 0) continue
    const many = /[^s]s$/.test(noun)
    // One and many agree: “smoke rises”, “gulls circle”; “glass jars” and “copper watch” are nouns.
    if (many === (found.word === found.plain) && (many || words.find(found.word.toLowerCase())?.main === 1)) return { at: index, ...found }
  }
  return undefined
}

const isVerb = (word: string, words: WordTable) => ((words.find(word)?.classes ?? 0) & VERB) !== 0

/** The plain form of a present-tense form. */
function plainOf(lower: string, words: WordTable): string {
  if (/ies$/.test(lower)) return `${lower.slice(0, -3)}y`
  if (/(?:s|x|z|ch|sh)es$/.test(lower) && isVerb(lower.slice(0, -2), words)) return lower.slice(0, -2)
  return /[^s]s$/.test(lower) ? lower.slice(0, -1) : lower
}
