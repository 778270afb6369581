import { type Facet, FACETS, type Phrase, tidy, tidySteps, applyEdit, emptyDraft } from '@idolon/core'
import { headOf } from '@idolon/core/reader'
import { type Asked, linesOf } from '../asked.ts'
import { heardIn } from '../heard.ts'
import { knowledge } from '../tables.ts'
import { withSlips } from '../slip.ts'
import { mediumIn } from '../words/media.ts'
import { asList, countWords, isSentences, rewritten } from '../write.ts'

const EMPTY = /\b(?:very|really|quite|rather|extremely|incredibly|highly|truly|with great (?:care|attention|skill)(?: and (?:care|attention|skill))?|high up|all around|in the very|beautifully?|lovely|nice|wonderful|a (?:lot|number) of)\b\s*/gi
/** What goes first where there are several of a facet, or too many words. */
const LEAST: readonly Facet[] = ['mood', 'technique', 'colour', 'detail', 'light', 'framing', 'moment', 'setting', 'action', 'medium', 'lettering', 'subject']

const bare = (text: string) => text.toLowerCase().replace(/[^\p{L}\p{N} ]/gu, '').split(/\s+/).filter((word) => word && !/^(?:an?|the|of|in|on|at|with|and|early|late)$/.test(word))

/** Whether two phrases of a facet say the same hour or the same medium in other words. */
function saysSame(a: Phrase, b: Phrase): boolean {
  if (a.facet === 'medium') return mediumIn(a.text) !== undefined && mediumIn(a.text) === mediumIn(b.text)
  if (a.facet !== 'moment') return false
  const early = (phrase: Phrase) => (heardIn(phrase.text).part ?? '').replace('morning', 'dawn')
  return early(a) !== '' && early(a) === early(b)
}

/** A text's phrases without what says nothing or says it again, down to so many words. */
export function tightened(text: string, most: number, locked: readonly string[]): string {
  const { reader } = knowledge()
  const draft = { ...emptyDraft(), text }
  const plain = applyEdit(draft, tidy(draft, tidySteps(text, reader.read(text)))).text
  const keep = ({ text: said }: Pick<Phrase, 'text'>) => locked.some((words) => said.includes(words) || words.includes(said))
  let phrases = reader.read(plain).phrases.map((phrase) => ({ ...phrase, text: keep(phrase) ? phrase.text : phrase.text.replace(EMPTY, '').trim() })).filter(({ text: said }) => said !== '')
  phrases = phrases.filter((phrase, i) => {
    if (keep(phrase)) return true
    const own = bare(phrase.text)
    if (phrases.some((other, k) => k < i && other.facet === phrase.facet && saysSame(other, phrase))) return false
    return !phrases.some((other, k) => k !== i && other.facet === phrase.facet && (own.every((word) => bare(other.text).includes(word)) || (headOf(other.text) === headOf(phrase.text) && own.length <= bare(other.text).length)) && (bare(other.text).length > own.length || k < i))
  })
  const length = () => countWords(phrases.map(({ text: said }) => said).join(' '))
  for (const facet of LEAST) {
    while (length() > most) {
      const own = phrases.filter((phrase) => phrase.facet === facet && !keep(phrase))
      if (own.length < 2) break
      phrases = phrases.filter((phrase) => phrase !== own.at(-1))
    }
  }
  for (const facet of LEAST) if (length() > most && facet !== 'subject') phrases = phrases.filter((phrase) => phrase.facet !== facet || keep(phrase) || length() <= most)
  const list = asList(phrases.map((phrase) => phrase.text))
  return isSentences(text) && countWords(list) + 12 <= most ? rewritten('', phrases.map(({ facet, text: said }) => ({ facet: FACETS.includes(facet) ? facet : 'detail', text: said })), 'sentences') : list
}

/** The same picture in fewer words. */
export function tightenTask(asked: Asked): { prompt: string } {
  const text = asked.given('prompt')
  const locked = linesOf(asked.given('locked'))
  const most = asked.told.words ?? Math.max(10, Math.round(countWords(text) * 0.6))
  return { prompt: withSlips(tightened(text, most, locked), asked, locked) }
}
