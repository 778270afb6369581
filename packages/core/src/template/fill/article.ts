import { articleFor } from '../../english/article.ts'
import { isPlural, wantsArticle } from '../../english/noun.ts'
import type { WordTable } from '../../read/words/word-table.ts'
import { CLOSE, OPEN, STARTS } from './signs.ts'

const DETERMINED = /^(?:an?|the|this|that|these|those|his|her|its|their|my|our|your|some|many|several|both|no|each|every|another|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|\d+)\b/iu
const COUNT = /^(?:two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|many|several|\d+)\b/iu
const BEFORE_VALUE = new RegExp(`(^|[^\\p{L}])(an?|the)(\\s+)${OPEN}([^${CLOSE}]*)${CLOSE}([^${OPEN}]*)`, 'giu')
/** Whether a value is the whole of what its article belongs to: nothing follows that could be its noun. */
const endsThere = (after: string): boolean => new RegExp(`^\\s*(?:$|[^\\s\\p{L}\\p{N}]|(?:${STARTS})\\b)`, 'iu').test(after)

/** The articles of a template before its values, as the values want them: “an owl”, “two owls”, “snow”. */
export function withArticles(text: string, words: WordTable): string {
  return text.replace(BEFORE_VALUE, (whole, before: string, article: string, space: string, value: string, after: string) => {
    const definite = article.toLowerCase() === 'the'
    const [first = ''] = /[\p{L}\p{N}]+/u.exec(value) ?? []
    // The capital of an article that goes is the value's.
    const rest = `${OPEN}${/^\p{Lu}/u.test(article) ? value.replace(/\p{L}/u, (letter) => letter.toUpperCase()) : value}${CLOSE}${after}`
    if (DETERMINED.test(value) && !(definite && COUNT.test(value))) return `${before}${rest}`
    if (definite) return whole
    if (endsThere(after) && (isPlural(value, words) || !wantsArticle(value, words, /^(?:\p{L}+\s)*\p{Ll}+$/u.test(value) && words.find(first.toLowerCase()) === undefined))) return `${before}${rest}`
    const right = articleFor(first)
    return `${before}${/^A/.test(article) ? right[0]!.toUpperCase() + right.slice(1) : right}${space}${OPEN}${value}${CLOSE}${after}`
  })
}
