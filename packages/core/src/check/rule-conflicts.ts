import { TermFinder } from '../glossary/term-finder.ts'
import type { HouseRules } from './rules.ts'

/** Rules that cannot both be kept, or stand twice, each in a sentence. */
export function ruleConflicts(rules: HouseRules): string[] {
  const found: string[] = []
  const phrases = rules.must.flatMap((rule) => ('phrase' in rule ? [rule.phrase] : []))
  const holds = (text: string, words: string) => new TermFinder([[words, true]]).find(text).length > 0
  for (const phrase of phrases) {
    for (const word of rules.never) if (holds(phrase, word)) found.push(`Every prompt must say “${phrase}”, and none may say “${word}”.`)
    for (const entry of rules.leaveOut) if (holds(phrase, entry)) found.push(`Every prompt must say “${phrase}”, and “${entry}” is left out everywhere.`)
  }
  for (const { name } of rules.colours) for (const word of rules.never) if (holds(name, word)) found.push(`The colour “${name}” has “${word}” in its name, which no prompt may say.`)
  const names = rules.colours.map(({ name }) => name.trim().toLowerCase())
  names.forEach((name, i) => {
    if (names.indexOf(name) !== i) found.push(`Two colours are called “${rules.colours[i]!.name}”.`)
  })
  return found
}
